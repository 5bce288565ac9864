import type { Appliance } from './appliance.ts';
import type { Machine } from './machine.ts';

/**
 * What a kitchen has, once it is known what its bread machine is like: a machine that stands there untold is told, else
 * one is added.
 *
 * @param id of the one that is added
 * @example withMachine([], machines.upright, 'm')[0].name // 'Bread machine'
 */
export function withMachine(
  appliances: readonly Appliance[],
  machine: Machine,
  id: string,
): Appliance[] {
  const untold = appliances.find((a) => a.kind === 'machine' && !a.machine);
  return untold
    ? appliances.map((a) => (a === untold ? { ...a, machine } : a))
    : [...appliances, { id, kind: 'machine', name: 'Bread machine', holds: 1, machine }];
}
