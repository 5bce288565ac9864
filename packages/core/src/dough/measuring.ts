import type { Line } from '../formula/formula.ts';
import { ingredient } from '../ingredient/catalogue.ts';
import { gramsPerMillilitre, gramsPerPiece } from '../ingredient/measure-weight.ts';
import { cupMillilitres, type Measures } from '../quantity/measures.ts';
import { coefficients } from './coefficients.ts';

/** How this household measures. */
export interface Measuring {
  readonly measures: Measures;
  /** Step of the kitchen scale, grams. */
  readonly scaleStep: number;
}

/** Standard deviation of a rectangular distribution of width 1. Source: JCGM 100:2008, 4.3.7. */
const rectangular = 1 / Math.sqrt(12);

/**
 * Chance part of the error in a line's grams, as a standard deviation. What is a habit of the
 * person, and so the same at every fill, is kept apart (coefficients.fillHabit).
 *
 * @example measuringSd({…, grams: 375, measured: 'volume'}, household) // three cups: about 15 g
 */
export function measuringSd(line: Line, { measures, scaleStep }: Measuring): number {
  const of = ingredient(line.ingredient);
  const spread = (line.spread ?? 0) * line.grams;
  if (line.measured === 'scale') return Math.hypot(scaleStep * rectangular, spread);
  if (line.measured === 'count') {
    const piece = gramsPerPiece(of, measures);
    const own = piece ? piece.sd * Math.sqrt(Math.max(1, line.grams / piece.value)) : 0;
    return Math.hypot(own, spread);
  }
  const density = gramsPerMillilitre(of, measures);
  const share = density ? density.sd / density.value : coefficients.about.value;
  const fillings = Math.max(
    1,
    density ? line.grams / density.value / cupMillilitres[measures.cup] : 1,
  );
  return Math.hypot(
    (share * line.grams) / Math.sqrt(fillings),
    coefficients.spoonSpread.value * line.grams,
    spread,
  );
}
