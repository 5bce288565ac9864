import { kitchenNow, type KitchenThen } from '../bake/circumstances.ts';
import type { Formula } from '../formula/formula.ts';
import { withBaker } from '../household/baker.ts';
import type { Belief } from '../belief/belief.ts';
import type { Household } from '../household/household.ts';
import { forBread } from './for-bread.ts';
import { forecastOf, type LevelMark } from './level-mark.ts';

/** What is kept with a bake from the moment in which it begins. */
export interface Beginning {
  /** Who stands at the bowl; absent where that is nobody whom the household knows. */
  readonly baker?: string;
  readonly kitchen: KitchenThen;
  /** Where its dough should come out; absent where there is no formula, or none with a level. */
  readonly forecast?: LevelMark;
}

/**
 * The circumstances in which a bake begins: the same sum wherever it is begun, on a page or on the server.
 *
 * @param formula as it is baked; absent for a bread that has none here
 * @param bread the formula's id, under which its own departures are learned
 * @param baker as the device remembers it: somebody who may be gone
 * @example beginningOf({ formula, household, belief, bread: 'loaf', baker: 'gone' }) // {kitchen: {room: …}, forecast: {points: 1.2, …}}
 */
export function beginningOf({
  formula,
  household,
  belief,
  bread,
  baker,
}: {
  readonly formula?: Formula | undefined;
  readonly household: Household;
  readonly belief: Belief;
  readonly bread?: string | undefined;
  readonly baker?: string | undefined;
}): Beginning {
  const known = household.bakers.find((b) => b.id === baker)?.id;
  const forecast =
    formula && forecastOf(formula, withBaker(household, known), forBread(belief, bread));
  return {
    ...(known === undefined ? {} : { baker: known }),
    kitchen: kitchenNow(household, formula),
    ...(forecast ? { forecast } : {}),
  };
}
