import { commonPractice } from '../figure/figure.ts';
import type { Machine } from './machine.ts';

/** What a household bakes with, kind by kind: how many breads it takes at once until somebody says otherwise. */
interface ApplianceKind {
  readonly label: string;
  /** What its room is counted in. */
  readonly room: string;
  readonly holds: number;
  readonly source: string;
}

/** One row a kind. */
export const applianceKinds = {
  oven: { label: 'oven', room: 'breads at once', holds: 1, source: commonPractice },
  mixer: { label: 'mixer', room: 'doughs at once', holds: 1, source: commonPractice },
  machine: { label: 'bread machine', room: 'breads at once', holds: 1, source: commonPractice },
  fridge: { label: 'fridge or cold box', room: 'doughs at once', holds: 3, source: commonPractice },
} as const satisfies Record<string, ApplianceKind>;

type ApplianceKindId = keyof typeof applianceKinds;
export const applianceKindIds = Object.keys(applianceKinds) as ApplianceKindId[];

/** What an oven gives steam with. */
export const steams = {
  none: 'no steam',
  tray: 'a tray of boiling water below',
  own: 'the oven makes it',
} as const;
export type SteamId = keyof typeof steams;
export const steamIds = Object.keys(steams) as SteamId[];

/** One that a household has. */
export interface Appliance {
  readonly id: string;
  readonly kind: ApplianceKindId;
  readonly name: string;
  /** Breads or doughs that it takes at once. */
  readonly holds: number;
  /** Degrees that it is warmer than it says; colder where below 0. */
  readonly offset?: number;
  /** An oven that blows its air about. */
  readonly fan?: boolean;
  /** The lowest that an oven can be set to, °C. */
  readonly lowest?: number;
  readonly steam?: SteamId;
  /** Grams of flour that a mixer kneads at once. */
  readonly takes?: number;
  /** What a bread machine can do, as it came or as it was told otherwise. */
  readonly machine?: Machine;
}
