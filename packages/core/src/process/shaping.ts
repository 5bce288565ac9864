import type { Formula } from '../formula/formula.ts';
import type { Form } from '../style/form.ts';
import { styles } from '../style/style.ts';

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
export function usualShaping({
  style,
  pieces = 1,
  piece,
}: Pick<Formula, 'style' | 'pieces' | 'piece'>): Shaping {
  const usual = styles[style].form;
  const form =
    (piece?.kind && byPiece[piece.kind]) ?? (usual === 'loaf' && pieces > 1 ? 'rolls' : usual);
  return { form, pieces: form === 'plait' && pieces === 1 ? usualStrands : pieces };
}

/** Breads that so many pieces are: the strands of a plait are one. */
export const loavesOf = ({ form, pieces }: Shaping): number => (form === 'plait' ? 1 : pieces);
