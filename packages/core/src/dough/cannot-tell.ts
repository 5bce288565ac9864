import type { ResolvedLine } from '../formula/resolve.ts';
import { partOfBase } from '../formula/base.ts';
import { type Totals } from '../formula/totals.ts';
import type { Refusal } from '../quantity/refusal.ts';
import type { Level } from './level.ts';

/** Why no level can be told: said instead of a number that would be wrong. */
export type CannotTell = Refusal<'no-flour' | 'gluten-only' | 'hardly-any-flour' | 'beyond'>;

/** Least share of flour in a dough; below it the model has nothing to stand on. Own estimate, no source. */
const leastFlour = 0.12;
/** Points beyond which the account is no dough's: a paste or a soup. Own estimate, no source. */
const furthest = 60;

export const noFlour: CannotTell = {
  code: 'no-flour',
  says: 'There is no flour in it yet: add one, with its grams.',
};

/**
 * Why the level of a formula cannot be told; undefined where it can. A dough that is merely dry can be:
 * it is dry.
 *
 * @example cannotTell(linesOfGlutenAndWater, totals, level)?.code // 'gluten-only'
 */
export function cannotTell(
  lines: readonly ResolvedLine[],
  totals: Totals,
  { points }: Level,
): CannotTell | undefined {
  const base = lines.filter((l) => l.grams > 0 && partOfBase(l, totals) > 0);
  if (totals.dryBase && base.every((l) => l.of.role === 'gluten')) {
    return {
      code: 'gluten-only',
      says: 'Gluten by itself makes rubber, not dough: add a meal, a fibre or a flour.',
    };
  }
  if (totals.flourGrams < leastFlour * totals.doughGrams) {
    return {
      code: 'hardly-any-flour',
      says: 'There is hardly any flour beside the rest: check the amounts.',
    };
  }
  if (points > furthest) {
    return {
      code: 'beyond',
      says: 'More liquid than flour can hold: a batter, which the level is not made for. Check the amounts.',
    };
  }
  return undefined;
}
