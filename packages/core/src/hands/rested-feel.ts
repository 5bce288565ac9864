import type { Level } from '../dough/level.ts';
import type { Felt } from '../bake/event.ts';

/** Points that slow drinkers will still take off the level after the first touch. */
export const stillToDrink = ({ points, early }: Level): number => early - points;

/**
 * Where a dough was felt to be, as it will feel after its rest.
 *
 * @example restedFeel({points: 9, rested: false}, {points: 1, early: 8}) // 2, as 7 points are still to be drunk
 */
export const restedFeel = ({ points, rested }: Felt, level: Level): number =>
  rested === false ? points - stillToDrink(level) : points;
