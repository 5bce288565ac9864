import { figure, ownModel } from '../figure/figure.ts';
import type { Appliance } from '../machine/appliance.ts';

/** What of an oven its pace hangs on. */
export type OvenTold = Pick<Appliance, 'id' | 'offset'>;

/**
 * How the minutes go with the heat: what goes into a loaf goes by the difference of oven and crumb, and at 220 °C round a
 * crumb of 75 a degree is a hundred-and-fortieth of it.
 */
export const perDegree = figure(-0.007, 'ln of the minutes per °C', 0.002, ownModel);

/**
 * The logarithm of minutes beside the usual, as they would have been by the oven's own dial: without what its offset puts
 * right.
 *
 * @param seen logarithm of the minutes beside the usual, at the setting that the offset makes
 * @example byItsDial(0, {id: 'range', offset: 10}) // -.07: left alone it would be quicker
 */
export const byItsDial = (seen: number, oven: OvenTold | undefined): number =>
  seen + perDegree.value * (oven?.offset ?? 0);

/** The same the other way: at the setting that its offset makes. */
export const asItIsSet = (dial: number, oven: OvenTold | undefined): number =>
  dial - perDegree.value * (oven?.offset ?? 0);
