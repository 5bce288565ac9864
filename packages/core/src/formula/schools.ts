import type { PercentageSchool, WaterSchool } from '../household/schools.ts';
import { hundred } from './percentage.ts';
import type { Totals } from './totals.ts';

/** How each school is called where its figures stand. */
export const schoolNames = {
  total: 'of all flour',
  added: 'of added flour',
  poured: 'poured water',
  effective: 'effective water',
} as const satisfies Record<PercentageSchool | WaterSchool, string>;

/** The other school of two. */
export const otherSchool = <T extends string>(schools: readonly T[], school: T): T =>
  schools.find((s) => s !== school) ?? school;

const hydrations = {
  'total poured': (t: Totals) => t.hydrationTotalFlour,
  'added poured': (t: Totals) => t.hydrationAddedFlour,
  'total effective': (t: Totals) => t.effectiveHydration,
  'added effective': (t: Totals) => t.effectiveHydrationAdded,
} as const;

/**
 * Hydration as a school of percentages and a school of water have it.
 *
 * @example hydration(totals, 'added', 'poured') // 80
 */
export const hydration = (totals: Totals, school: PercentageSchool, water: WaterSchool): number =>
  hydrations[`${school} ${water}`](totals);

/** Where poured water is less than so much of all water, other liquids make the dough. Own choice. */
const hardlyPoured = 0.5;

/**
 * The school of water whose hydration tells something of a dough: the household's, but for a dough of milk or egg, of whose
 * liquid hardly any is poured water.
 *
 * @example tellingWater({hydrationTotalFlour: 0, effectiveHydration: 58, …}, 'poured') // 'effective'
 */
export const tellingWater = (
  { hydrationTotalFlour: poured, effectiveHydration: effective }: Totals,
  water: WaterSchool,
): WaterSchool => (poured < hardlyPoured * effective ? 'effective' : water);

/** A percentage of all flour in another school. */
export const inSchool = (percentOfAll: number, totals: Totals, school: PercentageSchool): number =>
  (percentOfAll * totals.flourGrams) / hundred(totals, school);
