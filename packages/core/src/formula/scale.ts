import { gramsPerPiece } from '../ingredient/measure-weight.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { isGrams } from '../quantity/mass.ts';
import type { Measures } from '../quantity/measures.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { setGrams } from './edit.ts';
import { allLines, type Formula, type Line } from './formula.ts';
import { resolve, type ResolvedLine } from './resolve.ts';
import { totals } from './totals.ts';

/**
 * Multiplies a formula, corrections included, and leaves held lines as they are.
 *
 * @param factor above 0
 * @param isHeld which lines stay as they are: those that the baker holds
 * @throws RangeError for a factor that is not a positive number
 * @example scaleBy(formula, 2) // a double batch
 */
export function scaleBy(
  formula: Formula,
  factor: number,
  isHeld: (line: Line) => boolean = (l) => l.held === true,
): Formula {
  if (!(factor > 0 && Number.isFinite(factor))) throw new RangeError('the factor is above 0');
  const held = new Set(
    formula.stages.flatMap((s) => s.lines.filter(isHeld).map((l) => `${s.id} ${l.ingredient}`)),
  );
  const scaled = (l: Line): Line => (isHeld(l) ? l : { ...l, grams: l.grams * factor });
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

/** Grams of one, of what is counted whole: nobody weighs 1.4 eggs. */
function wholeOf(line: ResolvedLine, measures: Measures | undefined): number | undefined {
  if (!measures || line.held || line.measured !== 'count' || line.of.role !== 'egg')
    return undefined;
  const one = gramsPerPiece(line.of, measures)?.value;
  const count = one && line.typedGrams / one;
  // Where the recipe itself has half an egg, half an egg it is.
  return count && Math.abs(count - Math.round(count)) < 0.02 ? one : undefined;
}

/**
 * Scales a formula to a weight of flour or of dough. Held lines keep their grams, so that the
 * factor for the rest is (target − held) / (present − held). Eggs that are counted stay whole: they go
 * to the nearest whole number, at least one, and the rest makes up the weight.
 *
 * @param grams the weight wanted, above 0
 * @param measures what an egg weighs in this household; without it none is counted
 * @returns undefined where the held lines alone weigh more than is wanted, nothing can scale, or a
 *   line would come to less than a hundredth of a gram
 * @example scaleTo(formula, 'dough', 909)
 */
export function scaleTo(
  formula: Formula,
  target: ScaleTarget,
  grams: number,
  pantry: Pantry = cataloguePantry,
  measures?: Measures,
): Formula | undefined {
  const factor = factorTo(resolve(formula, pantry), target, grams, (l) => l.held === true);
  if (factor === undefined) return undefined;
  const whole = new Set<string>();
  let counted = formula;
  for (const line of resolve(formula, pantry)) {
    const one = wholeOf(line, measures);
    if (one === undefined) continue;
    whole.add(line.id);
    const count = Math.max(1, Math.round((line.typedGrams * factor) / one));
    counted = setGrams(counted, line.id, count * one, 'count');
  }
  const isHeld = (l: Line) => l.held === true || whole.has(l.id);
  const rest = factorTo(resolve(counted, pantry), target, grams, isHeld);
  if (rest === undefined) return undefined;
  const scaled = scaleBy(counted, rest, isHeld);
  return allLines(scaled).every((l) => isGrams(l.grams)) ? scaled : undefined;
}

/** What the lines that are not held are multiplied by. */
function factorTo(
  lines: readonly ResolvedLine[],
  target: ScaleTarget,
  grams: number,
  isHeld: (line: Line) => boolean,
): number | undefined {
  const weigh = (of: readonly ResolvedLine[]) =>
    target === 'dough' ? sumGrams(of) : (totals(of)?.flourGrams ?? 0);
  const present = weigh(lines);
  const held =
    target === 'dough'
      ? weigh(lines.filter(isHeld))
      : present - weigh(lines.map((l) => (isHeld(l) ? { ...l, grams: 0 } : l)));
  const factor = (grams - held) / (present - held);
  return factor > 0 && Number.isFinite(factor) ? factor : undefined;
}
