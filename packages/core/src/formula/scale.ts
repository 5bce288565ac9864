import { sumGrams } from '../quantity/sum-grams.ts';
import { isGrams } from '../quantity/mass.ts';
import { allLines, type Formula, type Line } from './formula.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { resolve } from './resolve.ts';
import { totals } from './totals.ts';

/**
 * Multiplies a formula, corrections included, and leaves held lines as they are.
 *
 * @param factor above 0
 * @throws RangeError for a factor that is not a positive number
 * @example scaleBy(formula, 2) // a double batch
 */
export function scaleBy(formula: Formula, factor: number): Formula {
  if (!(factor > 0 && Number.isFinite(factor))) throw new RangeError('the factor is above 0');
  const held = new Set(
    formula.stages.flatMap((s) =>
      s.lines.filter((l) => l.held).map((l) => `${s.id} ${l.ingredient}`),
    ),
  );
  const scaled = (l: Line): Line => (l.held ? l : { ...l, grams: l.grams * factor });
  return {
    ...formula,
    stages: formula.stages.map((s) => ({ ...s, lines: s.lines.map(scaled) })),
    taken: formula.taken.map((t) => ({
      ...t,
      changes: t.changes.map((c) =>
        held.has(`${c.stage} ${c.ingredient}`) ? c : { ...c, grams: c.grams * factor },
      ),
    })),
  };
}

/** What a formula can be scaled to a weight of. */
export type ScaleTarget = 'flour' | 'dough';

/**
 * Scales a formula to a weight of flour or of dough. Held lines keep their grams, so that the
 * factor for the rest is (target − held) / (present − held).
 *
 * @param grams the weight wanted, above 0
 * @returns undefined where the held lines alone weigh more than is wanted, nothing can scale, or a
 *   line would come to less than a hundredth of a gram
 * @example scaleTo(formula, 'dough', 909)
 */
export function scaleTo(
  formula: Formula,
  target: ScaleTarget,
  grams: number,
  pantry: Pantry = cataloguePantry,
): Formula | undefined {
  const lines = resolve(formula, pantry);
  const weigh = (of: typeof lines) =>
    target === 'dough' ? sumGrams(of) : (totals(of)?.flourGrams ?? 0);
  const present = weigh(lines);
  const held = lines.filter((l) => l.held);
  const heldGrams =
    target === 'dough'
      ? weigh(held)
      : present - weigh(lines.map((l) => (l.held ? { ...l, grams: 0 } : l)));
  const factor = (grams - heldGrams) / (present - heldGrams);
  if (!(factor > 0 && Number.isFinite(factor))) return undefined;
  const scaled = scaleBy(formula, factor);
  return allLines(scaled).every((l) => isGrams(l.grams)) ? scaled : undefined;
}
