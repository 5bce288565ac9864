import type { ResolvedLine } from '../formula/resolve.ts';

/** What a bread's ingredients cost, as far as prices are known. */
export interface Cost {
  /** In the household's money. */
  readonly known: number;
  /** Names of what has no price yet; water needs none. */
  readonly unpriced: readonly string[];
}

/**
 * What the ingredients cost, by the prices of bags and labels.
 *
 * @example costOf(linesWithPrices).known // 1.32
 */
export function costOf(lines: readonly ResolvedLine[]): Cost {
  const bought = lines.filter((l) => l.grams > 0 && l.ingredient !== 'water');
  return {
    known: bought.reduce((sum, l) => sum + (l.grams * (l.of.pricePerKilo ?? 0)) / 1000, 0),
    unpriced: [
      ...new Set(bought.filter((l) => l.of.pricePerKilo === undefined).map((l) => l.of.name)),
    ],
  };
}
