import { catalogue } from '../ingredient/catalogue.ts';
import { daysBetween } from '../quantity/day.ts';
import type { Belief } from './belief.ts';
import type { Coefficients } from '../coefficients/coefficients.ts';

const flours = new Set(catalogue.flatMap((i) => (i.role === 'flour' ? [`thirst:${i.id}`] : [])));

/** Whether what a key stands for changes in the cupboard: flour does, and every bag that is told apart. */
export const wanders = (key: string): boolean => key.startsWith('thirst:bag:') || flours.has(key);

/** Days that `bagWander` is quoted for: a season. */
const season = 90;

const drifts = new WeakMap<Belief, Map<string, Belief>>();

/**
 * What is believed on a later day. Seasons and the next sack move a flour's absorption by more than a constant
 * could follow, so that what bakes taught of it is held less firmly as days pass: variance grows evenly with
 * time, by a year's at most. Other figures stay.
 *
 * Source: the local level model, e.g. Durbin & Koopman, Time Series Analysis by State Space Methods,
 * chapter 2, from memory.
 *
 * @param today ISO date; without one, or without a bake behind it, nothing drifts
 * @example drifted(belief, '2026-11-25', coefficients) // a quarter later its flours are .015 less sure
 */
export function drifted(
  belief: Belief,
  today: string | undefined,
  { bagWander }: Pick<Coefficients, 'bagWander'>,
): Belief {
  if (today === undefined || belief.day === undefined || today <= belief.day) return belief;
  const when = `${today} ${bagWander.value}`;
  const known = drifts.get(belief)?.get(when);
  if (known) return known;
  const days = Math.min(365, daysBetween(belief.day, today) ?? 0);
  const more = (bagWander.value ** 2 * days) / season;
  const later: Belief = {
    ...belief,
    covariance: belief.covariance.map((row, i) => {
      const key = belief.keys[i]!;
      // What no bake of this household has moved is as wide as its table already.
      if (!belief.bakes[key] || !wanders(key)) return row;
      const wider = row.slice();
      wider[i]! += more;
      return wider;
    }),
    day: today,
  };
  const ofBelief = drifts.get(belief) ?? new Map<string, Belief>();
  drifts.set(belief, ofBelief.set(when, later));
  return later;
}
