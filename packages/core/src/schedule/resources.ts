import type { Household } from '../household/household.ts';
import { applianceKindIds } from '../machine/appliance.ts';
import { oneKitchen, type Resources } from './task.ts';

/**
 * What a household has to bake with at once: what it told of, and one of each that it did not.
 *
 * @example resourcesOf({appliances: [], people: 2}).people // 2
 */
export function resourcesOf({
  appliances,
  people,
}: Pick<Household, 'appliances' | 'people'>): Resources {
  const told = applianceKindIds.flatMap((kind) => {
    const of = appliances.filter((a) => a.kind === kind);
    return of.length === 0 ? [] : [[kind, of.reduce((sum, a) => sum + a.holds, 0)] as const];
  });
  const ovens = appliances.filter((a) => a.kind === 'oven').length;
  return { ...oneKitchen, ...Object.fromEntries(told), ovens: Math.max(1, ovens), people };
}
