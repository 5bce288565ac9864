import { sumGrams } from '../quantity/sum-grams.ts';
import type { ResolvedLine } from './resolve.ts';

/** Whether a line is water that is poured, and not water in something. */
export const isPouredWater = (line: Pick<ResolvedLine, 'ingredient'>): boolean =>
  line.ingredient === 'water';

/**
 * Grams of water that are poured: what can be held back or made warm.
 *
 * @param stage of that stage alone, where given
 * @example pouredWater(lines, 's1') // 400
 */
export const pouredWater = (
  lines: readonly Pick<ResolvedLine, 'ingredient' | 'stage' | 'grams'>[],
  stage?: string,
): number =>
  sumGrams(lines.filter((l) => isPouredWater(l) && (stage === undefined || l.stage === stage)));
