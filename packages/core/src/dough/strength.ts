import { sumGrams } from '../quantity/sum-grams.ts';
import { styleIn } from '../style/style-figures.ts';
import type { StyleId } from '../style/style.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { isFlour } from '../formula/base.ts';
import { type Totals } from '../formula/totals.ts';
import type { Kitchen } from '../belief/kitchen.ts';

/** Share of a wheat dough's flour that may do without gluten that builds. Common practice, no source. */
export const mostWithout = 0.3;

/** Least protein that this blend wants in this style, g per 100 g. */
export function proteinAim(
  style: StyleId,
  totals: Totals,
  { coefficients, figures }: Pick<Kitchen, 'coefficients' | 'figures'>,
): number {
  const { protein, branCounted } = styleIn(style, figures);
  // A style of whole grain has the bran in its aim; with less of it than all, it wants so much less.
  const whole = branCounted ? totals.wholeShare - 1 : totals.wholeShare;
  return protein[0] + coefficients.branAllowance.value * whole;
}

/**
 * Gluten to add to a flour so that the two together have a protein.
 *
 * @param flour grams before gluten
 * @param protein of the flour, and of the gluten, and the aim: all in the same unit and basis
 * @example glutenToAdd(500, 10.33, 75.16, 12) // 13.2
 */
export const glutenToAdd = (flour: number, protein: number, gluten: number, aim: number): number =>
  (flour * (aim - protein)) / (gluten - aim);

/**
 * The same with the final mass held: gluten takes the place of flour.
 *
 * @example glutenToReplace(500, 10.33, 75.16, 12) // 12.9
 */
export const glutenToReplace = (
  mass: number,
  protein: number,
  gluten: number,
  aim: number,
): number => (mass * (aim - protein)) / (gluten - protein);

/**
 * Pearson square: how much of each of two flours makes a blend of a protein.
 *
 * @param total grams of the blend
 * @returns undefined where the aim does not lie between the two
 * @example pearsonSquare(500, 10, 14, 12) // {first: 250, second: 250}
 */
export function pearsonSquare(
  total: number,
  first: number,
  second: number,
  aim: number,
): { first: number; second: number } | undefined {
  const [low, high] = [Math.min(first, second), Math.max(first, second)];
  if (!(aim >= low && aim <= high) || low === high) return undefined;
  const ofSecond = (total * (aim - first)) / (second - first);
  return { first: total - ofSecond, second: ofSecond };
}

/** What the flours can build, by weight. */
export function strengthShares(lines: readonly ResolvedLine[]) {
  const flours = lines.filter(isFlour);
  const grams = (of: string) => sumGrams(flours.filter((l) => l.of.strength === of));
  const all = sumGrams(flours) || 1;
  return {
    strong: grams('strong') / all,
    weak: grams('weak') / all,
    soft: grams('soft') / all,
    none: grams('none') / all,
  };
}
