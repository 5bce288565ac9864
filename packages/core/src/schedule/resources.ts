import type { Household } from '../household/household.ts';
import { applianceKindIds } from '../machine/appliance.ts';
import { oneKitchen, type Resources } from './task.ts';

/** What is told of them for one plan; the household's own where absent. */
type ResourcesTold = Partial<Omit<Resources, 'eachOven'>>;

/**
 * What a household has to bake with at once: what it told of, and one of each that it did not.
 *
 * @param told for this plan: with another number of ovens none is told from the other
 * @example resourcesOf({appliances: [], people: 2}).people // 2
 */
export function resourcesOf(
  { appliances, people }: Pick<Household, 'appliances' | 'people'>,
  told: ResourcesTold = {},
): Resources {
  const own = applianceKindIds.flatMap((kind) => {
    const of = appliances.filter((a) => a.kind === kind);
    return of.length === 0 ? [] : [[kind, of.reduce((sum, a) => sum + a.holds, 0)] as const];
  });
  const ovens = appliances.filter((a) => a.kind === 'oven');
  const apart = ovens.length > 1 && told.oven === undefined && told.ovens === undefined;
  return {
    ...oneKitchen,
    ...Object.fromEntries(own),
    ovens: Math.max(1, ovens.length),
    people,
    ...told,
    ...(apart ? { eachOven: Object.fromEntries(ovens.map((o) => [o.id, o.holds])) } : {}),
  };
}
