/** Units of mass and how many grams each is. Source: NIST Handbook 44, appendix C, from memory. */
export const massUnits = {
  g: 1,
  kg: 1000,
  mg: 0.001,
  oz: 28.349523125,
  lb: 453.59237,
} as const;

export type MassUnit = keyof typeof massUnits;

/**
 * Grams of an amount of mass.
 *
 * @param amount any finite number, in `unit`
 * @example toGrams(2, 'lb') // 907.18474
 */
export const toGrams = (amount: number, unit: MassUnit): number => amount * massUnits[unit];

/** More than a home kitchen mixes at once, grams. */
export const mostGrams = 100_000;
/** Less than any kitchen scale or pinch can tell, grams. */
export const leastGrams = 0.01;

/** Whether a weight can stand in a formula: nothing, or what a kitchen can weigh. */
export const isGrams = (grams: number): boolean =>
  grams === 0 || (grams >= leastGrams && grams <= mostGrams);
