import { commonPractice } from '../figure/figure.ts';

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

export type ApplianceKindId = keyof typeof applianceKinds;
export const applianceKindIds = Object.keys(applianceKinds) as ApplianceKindId[];

/** One that a household has. */
export interface Appliance {
  readonly id: string;
  readonly kind: ApplianceKindId;
  readonly name: string;
  /** Breads or doughs that it takes at once. */
  readonly holds: number;
  /** Degrees that it is warmer than it says; colder where below 0. */
  readonly offset?: number;
}
