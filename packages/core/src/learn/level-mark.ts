import { level, type Level } from '../dough/level.ts';
import { resolve } from '../formula/resolve.ts';
import type { Formula } from '../formula/formula.ts';
import { z80 } from '../coefficients/coefficients.ts';
import type { Belief } from '../belief/belief.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { kitchenOf } from '../belief/kitchen.ts';

/** A level without its workings, as it is kept in the book. */
export interface LevelMark {
  readonly points: number;
  readonly low: number;
  readonly high: number;
}

export const levelMark = ({ points, low, high }: Level): LevelMark => ({ points, low, high });

/**
 * Where a finger should find a dough 8 times in 10: the level's own band, and the finger's error on top.
 *
 * @param feel standard deviation of a touch, points
 * @example feltBand({points: 1, low: 1, high: 1}, 0).high // 1
 */
export function feltBand({ points, low, high }: LevelMark, feel: number): LevelMark {
  const half = Math.hypot((high - low) / 2, z80 * feel);
  return { points, low: points - half, high: points + half };
}

/** What a formula was forecast to do, as it is kept with a bake; undefined where it has no level. */
export function forecastOf(
  formula: Formula,
  household: Household,
  belief: Belief,
): LevelMark | undefined {
  const at = level(resolve(formula, pantryIn(household)), kitchenOf(household, belief));
  return at && levelMark(at);
}
