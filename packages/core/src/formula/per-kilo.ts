import { commonPractice, figure } from '../figure/figure.ts';
import type { ResolvedLine } from './resolve.ts';
import type { Totals } from './totals.ts';

/** From this much flour on, bakers speak of yeast and gluten by the kilo of flour. */
export const bigBatch = figure(1500, 'g of flour', 500, commonPractice);

/** A line told by the kilo of flour. */
interface PerKilo {
  readonly line: string;
  readonly name: string;
  /** Grams per kilo of flour. */
  readonly grams: number;
}

/**
 * What a big batch's yeast and gluten come to per kilo of flour; nothing for a small one.
 *
 * @example perKilo(lines, totals)
 */
export const perKilo = (lines: readonly ResolvedLine[], totals: Totals): PerKilo[] =>
  totals.flourGrams < bigBatch.value
    ? []
    : lines
        .filter((l) => (l.of.yeast || l.of.role === 'gluten') && l.grams > 0)
        .map((l) => ({
          line: l.id,
          name: l.of.name,
          grams: (l.grams * 1000) / totals.flourGrams,
        }));
