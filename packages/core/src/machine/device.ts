import { kneadingIds, kneadings, type Kneading, type KneadingId } from './kneading.ts';
import { loadingOrders, type LoadingOrder } from './loading-order.ts';

/** All that is known of what a dough is made in: in what order it is loaded, and how it is worked. */
interface Device {
  readonly label: string;
  readonly loading: LoadingOrder;
  readonly kneading: Kneading;
}

/** One row a device. Bakes are written down with its id. */
export const devices = {
  'liquids-first': {
    label: 'machine, liquids first',
    loading: loadingOrders['liquids-first'],
    kneading: kneadings.machine,
  },
  'dry-first': {
    label: 'machine, dry first',
    loading: loadingOrders['dry-first'],
    kneading: kneadings.machine,
  },
  hand: { label: 'bowl, by hand', loading: loadingOrders.bowl, kneading: kneadings.hand },
  mixer: { label: 'bowl of a mixer', loading: loadingOrders.bowl, kneading: kneadings.mixer },
} as const satisfies Record<string, Device>;

export type DeviceId = keyof typeof devices;
export const deviceIds = Object.keys(devices) as DeviceId[];

/** How a dough is worked in a device, by its id. */
export const kneadingOf = (device: DeviceId): KneadingId =>
  kneadingIds.find((id) => kneadings[id] === devices[device].kneading)!;
