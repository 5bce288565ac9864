import type { DeviceId } from '../machine/device.ts';
import type { Shaping } from '../process/shaping.ts';
import type { WayId } from './way-id.ts';

/** When a step was begun and done, and when it will not be over yet: ISO moments. */
export interface FactNoted {
  readonly start?: string;
  readonly end?: string;
  readonly notBefore?: string;
}
/** By step, without the bake's id. */
export type FactsNoted = Readonly<Record<string, FactNoted>>;

/** When a starter was last fed, and where it stands. */
export interface StarterFed {
  /** ISO moment. */
  readonly at: string;
  readonly keptAt: 'room' | 'fridge';
}

/** What is wished of a bake that is planned, and what was done of it. Moments are ISO texts. */
export interface PlannedBody {
  readonly device?: DeviceId;
  readonly roomC?: number;
  readonly doughC?: number;
  readonly readyBy?: string;
  readonly beginAt?: string;
  readonly ripe?: boolean;
  /** Told beside what the jar says. */
  readonly fed?: StarterFed;
  readonly ways?: readonly WayId[];
  /** Into what it is divided, where that is not as its recipe has it. */
  readonly shaping?: Shaping;
  /** When steps were begun and done, by step. */
  readonly facts?: FactsNoted;
  /** Starts that the baker held fast, by step. */
  readonly locks?: Readonly<Record<string, string>>;
}

/** A bake that is planned, as it is kept. */
export interface PlannedBake extends PlannedBody {
  readonly id: string;
  readonly formulaId: string;
  /** How often it was said; 0 for one that nobody planned. */
  readonly version: number;
  readonly bakeId?: string;
}
