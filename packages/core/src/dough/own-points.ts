import { departure, departureKey, touchKeyBy } from '../belief/belief.ts';
import type { Kitchen } from '../belief/kitchen.ts';

/**
 * Points by which this bread, and this household's touch, were found to differ from the water account:
 * what no line of the formula explains.
 *
 * @example ownPoints(kitchenOf(defaultHousehold)) // 0
 */
export const ownPoints = ({
  belief,
  baker,
  coefficients,
}: Pick<Kitchen, 'belief' | 'baker' | 'coefficients'>): number =>
  coefficients.departure.value +
  coefficients.touch.value +
  departure(belief, departureKey) +
  departure(belief, touchKeyBy(baker));
