import type { BakeState } from '../bake/state.ts';
import type { Formula } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Household } from '../household/household.ts';
import type { DeviceId } from '../machine/device.ts';

/** A bake as it was made: what went in, what was noted, where. */
export interface MadeBake {
  readonly formula: Formula;
  /** The dough as mixed. */
  readonly lines: readonly ResolvedLine[];
  readonly state: BakeState;
  /** As it was on the day. */
  readonly household: Household;
  readonly device: DeviceId;
}
