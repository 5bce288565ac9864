import type { PercentageSchool } from '../household/schools.ts';
import type { Totals } from './totals.ts';

/** What is 100 % in a school: all flour, or only the flour added as flour. */
export const hundred = (totals: Totals, school: PercentageSchool): number =>
  school === 'added' && totals.addedFlourGrams > 0 ? totals.addedFlourGrams : totals.flourGrams;

/**
 * A mass as a baker's percentage.
 *
 * @example percentOf(400, totals, 'added') // 80, with 500 g of added flour
 */
export const percentOf = (grams: number, totals: Totals, school: PercentageSchool): number =>
  (100 * grams) / hundred(totals, school);

/** Grams of a baker's percentage; the inverse of {@link percentOf}. */
export const gramsOf = (percent: number, totals: Totals, school: PercentageSchool): number =>
  (percent * hundred(totals, school)) / 100;
