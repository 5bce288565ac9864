import type { Belief } from './belief.ts';
import type { Coefficients } from './coefficients.ts';
import type { Measuring } from './measuring.ts';
import type { Room } from './weather.ts';

/** What the level is worked out in: how this household measures, its room, what its book taught. */
export interface Kitchen extends Measuring {
  readonly room: Room;
  /** ISO date. */
  readonly today?: string;
  readonly belief: Belief;
  readonly coefficients: Coefficients;
}
