import type { Measures } from '../quantity/measures.ts';
import type { OwnValues } from '../figure/settable.ts';
import type { Belief } from './belief.ts';
import type { Coefficients } from './coefficients.ts';
import type { Room } from './room.ts';

/** How a household measures. */
export interface Measuring {
  readonly measures: Measures;
  /** Step of the kitchen scale, grams. */
  readonly scaleStep: number;
  readonly coefficients?: Coefficients;
}

/** What a dough is worked out in: how this household measures, its room, what its book taught. */
export interface Kitchen extends Measuring {
  readonly room: Room;
  /** ISO date. */
  readonly today?: string;
  /** Who fills the cups; the usual one where absent. */
  readonly baker?: string;
  readonly belief: Belief;
  /** The household's own figures. */
  readonly figures: OwnValues;
  readonly coefficients: Coefficients;
}
