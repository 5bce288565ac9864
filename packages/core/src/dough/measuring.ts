import type { Measuring } from '../belief/kitchen.ts';
import { methods } from '../formula/measuring-method.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { gramsPerMillilitre, gramsPerPiece } from '../ingredient/measure-weight.ts';
import { cupMillilitres } from '../quantity/measures.ts';
import { saidWithin } from '../quantity/spoons.ts';
import { coefficients, type Coefficients } from '../coefficients/coefficients.ts';

/** Standard deviation of a rectangular distribution of width 1. Source: JCGM 100:2008, 4.3.7. */
const rectangular = 1 / Math.sqrt(12);

/** Standard deviation of a weighing on a scale of that step, grams. */
export const scaleSd = (step: number): number => step * rectangular;

/**
 * Chance part of the error in a line's grams, as a standard deviation. What is a habit of the
 * person, and so the same at every fill, is kept apart (coefficients.fillHabit).
 *
 * @example measuringSd({…, grams: 375, measured: 'volume'}, household) // three cups: about 15 g
 */
export function measuringSd(line: ResolvedLine, measuring: Measuring): number {
  const { measures, scaleStep, coefficients: table = coefficients } = measuring;
  const { of, grams } = line;
  const { by, fill, doubt } = methods[line.measured];
  const further = Math.hypot(line.spread ?? 0, doubt ? doubtOfWord(doubt, table) : 0) * grams;
  if (by === 'scale') return Math.hypot(scaleSd(scaleStep), further);
  if (by === 'count') {
    const piece = gramsPerPiece(of, measures);
    const own = piece ? piece.sd * Math.sqrt(Math.max(1, grams / piece.value)) : 0;
    return Math.hypot(own, further);
  }
  const density = gramsPerMillilitre(of, measures, fill);
  const share = density ? density.sd / density.value : table.about.value;
  const fillings = Math.max(1, density ? grams / density.value / cupMillilitres[measures.cup] : 1);
  return Math.hypot(
    (share * grams) / Math.sqrt(fillings),
    table.spoonSpread.value * grams,
    // Said in cups and spoons it is within so much of what is meant, either way.
    2 * saidWithin * rectangular * grams,
    further,
  );
}

/** Doubt that a word brings, as a share: heaps differ by their spread, "about" by its size. */
const doubtOfWord = (word: 'heaping' | 'about', table: Coefficients): number =>
  word === 'heaping' ? table.heaping.sd : table.about.value;
