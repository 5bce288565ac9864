/**
 * Grams of several things together.
 *
 * @example sumGrams([{ grams: 500 }, { grams: 9 }]) // 509
 */
export function sumGrams(of: Iterable<{ readonly grams: number }>): number {
  let sum = 0;
  for (const { grams } of of) sum += grams;
  return sum;
}
