import { verdict } from '../correct/verdict.ts';
import { evaluate } from '../evaluate/evaluate.ts';
import type { Formula } from '../formula/formula.ts';
import type { Belief } from '../belief/belief.ts';
import type { Household } from '../household/household.ts';
import { levelMark, type LevelMark } from './level-mark.ts';

/** The same formula's level, next time, and what it asks for then. */
export interface NextTime extends LevelMark {
  readonly says: string;
}

/**
 * What a formula will do the next time, by all that is known now: worked out when it is looked at.
 *
 * @returns undefined where it has no level
 */
export function nextTime(
  formula: Formula,
  household: Household,
  belief: Belief,
): NextTime | undefined {
  const next = evaluate(formula, household, belief);
  return next && { ...levelMark(next.level), says: verdict(next, formula.style).says };
}
