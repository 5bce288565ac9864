import type { Household } from '../household/household.ts';
import { devices, type DeviceId } from '../machine/device.ts';
import { loadingOrders } from '../machine/loading-order.ts';

/** A way to make a dough that somebody chooses: with hands, a mixer, a machine of the house. */
interface WayMade {
  readonly label: string;
  readonly device: DeviceId;
  /** Devices that are meant by it: of a machine that nobody described it is asked in which order it is loaded. */
  readonly means: readonly DeviceId[];
}

const machineDevices: readonly DeviceId[] = (Object.keys(devices) as DeviceId[]).filter(
  (d) => devices[d].loading !== loadingOrders.bowl,
);

/**
 * The ways in which this house can make a dough, by the names of its own devices where it told of any.
 *
 * @example waysMade({appliances: []}).map((w) => w.label) // ['By hand', 'Mixer', 'Bread machine']
 */
export function waysMade({ appliances }: Pick<Household, 'appliances'>): WayMade[] {
  const mixer = appliances.find((a) => a.kind === 'mixer')?.name ?? 'Mixer';
  const own = machineDevices.flatMap((device): WayMade[] => {
    const names = appliances.flatMap((a) => (a.machine?.loading === device ? [a.name] : []));
    return names.length > 0 ? [{ label: names.join(' or '), device, means: [device] }] : [];
  });
  const [usual = 'hand'] = machineDevices;
  const untold: WayMade = { label: 'Bread machine', device: usual, means: machineDevices };
  return [
    { label: 'By hand', device: 'hand', means: ['hand'] },
    { label: mixer, device: 'mixer', means: ['mixer'] },
    ...(own.length > 0 ? own : [untold]),
  ];
}

/** How a machine that nobody described is loaded. */
export const ordersAsked: ReadonlyArray<readonly [device: DeviceId, label: string]> = [
  ['liquids-first', 'liquids first'],
  ['dry-first', 'dry first'],
];
