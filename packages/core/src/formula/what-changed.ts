import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { gramsText } from '../quantity/number.ts';
import { styles } from '../style/style.ts';
import { compareFormulas, type ComparedLine } from './compare.ts';
import type { Formula } from './formula.ts';

/** One line's change, in a few words. */
function lineChange({ name, stage, one, other }: ComparedLine): string {
  const called = stage === undefined ? name : `${name} (${stage})`;
  if (one === undefined) return `${called} ${gramsText(other!)} added`;
  if (other === undefined) return `${called} ${gramsText(one)} taken out`;
  const [from, to] = [gramsText(one), gramsText(other)];
  return from === to ? `${called}: bag or measuring` : `${called} ${from} → ${to}`;
}

const same = (one: unknown, other: unknown): boolean =>
  JSON.stringify(one ?? null) === JSON.stringify(other ?? null);

/** What else of a formula can differ, beside its lines. */
const others: ReadonlyArray<readonly [says: string, of: (f: Formula) => unknown]> = [
  ['parts', (f) => f.stages.map((s) => [s.kind, s.name, s.process])],
  ['notes', (f) => f.notes],
  ['the work', (f) => f.steps],
  ['outside the dough', (f) => f.outside],
  ['what was not read', (f) => f.unread],
  ['pieces', (f) => [f.pieces, f.piece]],
  ['slices', (f) => f.slices],
  ['size or device', (f) => [f.size, f.device]],
  ['corrections taken or left', (f) => [f.taken.map((t) => t.correction), f.left]],
  ['order of the lines', (f) => f.stages.map((s) => s.lines.map((l) => [l.ingredient, l.held]))],
];

/**
 * What a baker changed between two versions of a formula, in words, the lines first.
 *
 * @returns nothing where they are the same
 * @example whatChanged(formula, setGrams(formula, 'l2', 412)).length // 1
 */
export function whatChanged(
  before: Formula,
  after: Formula,
  pantry: Pantry = cataloguePantry,
): string[] {
  const { name, style, lines } = compareFormulas(before, after, pantry);
  const changed = lines.filter((l) => l.differs).map(lineChange);
  const rest = others.filter(([, of]) => !same(of(before), of(after))).map(([says]) => says);
  return [
    ...(name ? [`called “${name[1]}”`] : []),
    ...(style ? [`style: ${styles[after.style].name}`] : []),
    ...changed,
    // Lines that came or went are another order of course.
    ...rest.filter((says) => says !== 'order of the lines' || changed.length === 0),
  ];
}
