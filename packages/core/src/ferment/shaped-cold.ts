import { commonPractice, figure } from '../figure/figure.ts';
import { isFlour } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { isOil } from '../ingredient/is-oil.ts';
import { sumGrams } from '../quantity/sum-grams.ts';

/** Fat that is firm when cold, from which a dough is too soft to shape at a room's warmth, g per 100 g of flour. */
const firmFat = figure(15, 'g per 100 g of flour', 4, commonPractice);
/** Such a dough, when it comes out of an hour or two in the fridge, °C. */
export const chilledDough = figure(12, '°C', 3, commonPractice);

/**
 * Whether a dough has so much butter that it is chilled before it is shaped: a brioche, not a plait.
 *
 * @example isShapedCold(brioche) // true, of 200 g of butter for 500 g of flour
 */
export function isShapedCold(lines: readonly ResolvedLine[]): boolean {
  const fat = lines
    .filter(({ of }) => of.role === 'fat' && !isOil(of))
    .reduce((sum, { of, grams }) => sum + (of.composition.fat * grams) / 100, 0);
  return fat > (firmFat.value / 100) * sumGrams(lines.filter(isFlour)) && lines.some(isFlour);
}
