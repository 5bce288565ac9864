import { figure, fromMemory } from '../figure/figure.ts';

/** Cardinal temperatures of baker's yeast; the lower end is weakly known. */
const cardinal = {
  minimum: figure(0, '°C', 3, fromMemory('weakly known; 3 would stop a fridge dough')),
  optimum: figure(32.3, '°C', 0.5, fromMemory('Salvadó 2011')),
  maximum: figure(45.4, '°C', 0.5, fromMemory('Salvadó 2011')),
};

/**
 * How fast yeast grows at a temperature, as a share of its rate at the optimum: the cardinal
 * temperature model with inflection (Rosso 1993). 0 outside minimum…maximum.
 *
 * @param celsius temperature of the dough
 * @example growthRate(25) // 0.8441
 */
export function growthRate(celsius: number, minimum = cardinal.minimum.value): number {
  const low = minimum;
  const best = cardinal.optimum.value;
  const high = cardinal.maximum.value;
  if (celsius <= low || celsius >= high) return 0;
  const above = (celsius - high) * (celsius - low) ** 2;
  const below =
    (best - low) * ((best - low) * (celsius - best) - (best - high) * (best + low - 2 * celsius));
  return above / below;
}
