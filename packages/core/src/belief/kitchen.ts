import type { Measures } from '../quantity/measures.ts';
import type { OwnValues } from '../figure/settable.ts';
import { nothingLearned, type Belief } from './belief.ts';
import { drifted } from './drift.ts';
import { coefficientsIn, type Household } from '../household/household.ts';
import type { Coefficients } from '../coefficients/coefficients.ts';
import type { Room } from '../household/room.ts';

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
  /** Metres above the sea. */
  readonly altitude?: number;
  /** ISO date. */
  readonly today?: string;
  /** Who fills the cups; the usual one where absent. */
  readonly baker?: string;
  readonly belief: Belief;
  /** The household's own figures. */
  readonly figures: OwnValues;
  readonly coefficients: Coefficients;
}

/** The kitchen that a level is worked out in. */
export function kitchenOf(household: Household, belief: Belief = nothingLearned): Kitchen {
  const { measures, scaleStep, room, altitude, today, baker, figures } = household;
  const coefficients = coefficientsIn(household);
  return {
    measures,
    scaleStep,
    room,
    ...(altitude === undefined ? {} : { altitude }),
    ...(today ? { today } : {}),
    ...(baker === undefined ? {} : { baker }),
    coefficients,
    figures,
    belief: drifted(belief, today, coefficients),
  };
}

/** What is believed on the household's day. */
export const beliefToday = (household: Household, belief: Belief): Belief =>
  drifted(belief, household.today, coefficientsIn(household));
