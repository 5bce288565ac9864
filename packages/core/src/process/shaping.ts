import type { Formula } from '../formula/formula.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { usualPiece, type Form } from '../style/form.ts';
import { styles } from '../style/style.ts';
import { methodOf } from './written-steps.ts';

/** What the pieces of a recipe are shaped to. */
const byPiece: Readonly<Record<string, Form>> = {
  loaf: 'loaf',
  roll: 'rolls',
  ball: 'balls',
  ring: 'rings',
  plait: 'plait',
  stick: 'sticks',
  flatbread: 'flat',
};
/** Strands of a plait where nobody says. Common practice, no source. */
const usualStrands = 3;

/** What a bread is shaped to, and in how many pieces, until somebody says otherwise. */
export interface Shaping {
  readonly form: Form;
  /** Pieces that the dough is divided into: the strands of a plait. */
  readonly pieces: number;
}

/**
 * How a bread is usually shaped.
 *
 * @example usualShaping({style: 'plait'}) // {form: 'plait', pieces: 3}
 */
export function usualShaping(
  formula: Pick<Formula, 'style' | 'pieces' | 'piece' | 'steps' | 'size'> &
    Partial<Pick<Formula, 'name' | 'stages'>>,
): Shaping {
  const { style, piece } = formula;
  const method = methodOf(formula);
  const usual = styles[style].form;
  const pieces = formula.pieces ?? method.pieces ?? usualCount(usual, formula);
  const several =
    method.form === 'loaf' || ofLoaves(formula, pieces) ? 'loaf' : (method.form ?? 'rolls');
  // One that is shaped “to a ball” is a loaf all the same.
  const one = method.form === 'plait' ? 'plait' : usual;
  const form =
    (piece?.kind && byPiece[piece.kind]) ??
    (usual === 'loaf' ? (pieces > 1 ? several : one) : usual);
  return { form, pieces: form === 'plait' && pieces === 1 ? usualStrands : pieces };
}

/** Forms that nobody makes one of. */
const always: ReadonlySet<Form> = new Set(['rolls', 'rings', 'balls', 'sticks']);

/** Pieces that a dough makes where nobody said: of what is always made small, as many as are usually made of so much. */
function usualCount(
  form: Form,
  { piece, stages = [] }: Partial<Pick<Formula, 'piece' | 'stages'>>,
): number {
  if (piece?.kind === 'loaf' || !always.has(form)) return 1;
  const dough = stages.reduce((sum, s) => sum + sumGrams(s.lines), 0);
  const [least, most] = usualPiece[form];
  const each = piece?.grams ?? (least + most) / 2;
  return Math.min(mostUsual, Math.max(1, Math.round(dough / each)));
}
/** Nobody means more without saying so. Own choice, no source. */
const mostUsual = 24;

/** Few pieces that go into tins are loaves: nobody bakes two rolls. */
const mostLoaves = 4;
const inTins = /\b(?:tins|loaf pans|loaves)\b/i;
const ofLoaves = (
  { name = '', size = '', steps = [] }: Partial<Pick<Formula, 'name' | 'size' | 'steps'>>,
  pieces: number,
): boolean =>
  pieces <= mostLoaves && inTins.test([name, size, ...steps.map((s) => s.says)].join(' '));

/** Breads that so many pieces are: the strands of a plait are one. */
export const loavesOf = ({ form, pieces }: Shaping): number => (form === 'plait' ? 1 : pieces);
