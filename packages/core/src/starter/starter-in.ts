import { isFlour } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { starterParts } from './starter-parts.ts';

/** The starter of a dough, as it stands in it. */
interface StarterIn {
  /** Its first stage. */
  readonly stage: string;
  /** Its flour, % of all flour. */
  readonly percent: number;
  /** Its water, % of its flour. */
  readonly hydration: number;
  /** All of it, grams. */
  readonly grams: number;
}

/**
 * The starter of a dough.
 *
 * @returns undefined where there is none, or no flour in it
 * @example a dough of 450 g of flour with a starter of 50 and 50: {percent: 10, hydration: 100, grams: 100}
 */
export function starterIn(lines: readonly ResolvedLine[]): StarterIn | undefined {
  const own = lines.filter((l) => l.stageKind === 'starter' && l.grams > 0);
  const { flour, water } = starterParts(own);
  if (!own[0] || !(flour > 0)) return undefined;
  return {
    stage: own[0].stage,
    percent: (100 * flour) / sumGrams(lines.filter(isFlour)),
    hydration: Math.round((100 * water) / flour),
    grams: sumGrams(own),
  };
}

/** Ripe starter of another share, grams. */
export const starterGrams = ({ grams, percent }: StarterIn, share: number): number =>
  (grams * share) / percent;
