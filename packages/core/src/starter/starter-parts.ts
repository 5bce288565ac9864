import { isFlour } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { sumGrams } from '../quantity/sum-grams.ts';

/** Grams of flour and of water in a starter, and the share of whole grain in its flour, 0 to 1. */
interface StarterParts {
  readonly flour: number;
  readonly water: number;
  readonly whole: number;
}

/**
 * Flour, water and whole grain of a starter as a formula has it.
 *
 * @example starterParts(lines of a starter of 60 g of rye and 60 of water) // {flour: 60, water: 60, whole: 1}
 */
export function starterParts(lines: readonly ResolvedLine[]): StarterParts {
  const flours = lines.filter(isFlour);
  const flour = sumGrams(flours);
  const whole = flours.reduce((sum, l) => sum + l.grams * (l.of.whole ?? 0), 0);
  return { flour, water: sumGrams(lines) - flour, whole: flour > 0 ? whole / flour : 0 };
}
