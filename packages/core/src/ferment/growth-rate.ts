import { cardinalRate } from './cardinal-rate.ts';
import { warmthFigures } from '../coefficients/rise-figures.ts';

/**
 * How fast yeast grows at a temperature, as a share of its rate at the optimum: the cardinal
 * temperature model with inflection (Rosso 1993). 0 outside minimum…maximum.
 *
 * @param celsius temperature of the dough
 * @example growthRate(25) // 0.8441
 */
export const growthRate = (
  celsius: number,
  minimum: number = warmthFigures.growthLeast.value,
): number =>
  cardinalRate(celsius, minimum, warmthFigures.growthBest.value, warmthFigures.growthMost.value);
