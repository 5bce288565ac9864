/** First and longest pause between two tries, ms. */
const [first, longest] = [1000, 30_000];

/**
 * How long to wait before the next try: twice as long each time, and not all at the same moment.
 *
 * @param failures in a row, 1 or more
 * @param chance 0 to 1
 * @example backoff(1, 0.5) // 1000
 */
export const backoff = (failures: number, chance = Math.random()): number =>
  Math.min(longest, first * 2 ** (failures - 1)) * (0.8 + 0.4 * chance);
