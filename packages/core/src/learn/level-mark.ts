import { level, type Level } from '../dough/level.ts';
import { resolve } from '../formula/resolve.ts';
import type { Formula } from '../formula/formula.ts';
import type { Belief } from '../household/belief.ts';
import { kitchenOf, pantryIn, type Household } from '../household/household.ts';

/** A level without its workings, as it is kept in the book. */
export interface LevelMark {
  readonly points: number;
  readonly low: number;
  readonly high: number;
}

export const levelMark = ({ points, low, high }: Level): LevelMark => ({ points, low, high });

/** What a formula was forecast to do, as it is kept with a bake; undefined where it has no level. */
export function forecastOf(
  formula: Formula,
  household: Household,
  belief: Belief,
): LevelMark | undefined {
  const at = level(resolve(formula, pantryIn(household)), kitchenOf(household, belief));
  return at && levelMark(at);
}
