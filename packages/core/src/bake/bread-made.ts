import type { Course } from '../course/course.ts';
import type { Formula } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Belief } from '../belief/belief.ts';
import type { Household } from '../household/household.ts';
import type { DeviceId } from '../machine/device.ts';
import { breadOf, type Bread } from '../schedule/bread.ts';
import type { WayId } from '../schedule/way-id.ts';
import { wayPlaces } from '../schedule/way-places.ts';
import { writtenWay } from '../schedule/written-way.ts';
import { asBaked } from './as-baked.ts';
import { seenIn } from './seen-in.ts';
import type { BakeState } from './state.ts';

/** A bake as it is known so far: what it was meant to be, what went in, what was noted. */
export interface BreadNoted {
  readonly id?: string;
  /** As it was written. */
  readonly formula: Formula;
  /** The dough as it was mixed so far. */
  readonly lines: readonly ResolvedLine[];
  readonly state: Pick<BakeState, 'batch' | 'instead' | 'warmth' | 'wished' | 'divided' | 'oven'> &
    Partial<Pick<BakeState, 'rises' | 'marks' | 'pokes'>>;
  /** As it was on the day. */
  readonly household: Household;
  readonly device?: DeviceId;
  readonly course?: Course;
}

/**
 * The bread that a bake makes: with the lines that were weighed, as warm as it was measured, else planned, else as
 * the kitchen is, in as many pieces as it was divided into. Whoever asks how it rises or bakes asks of this one.
 *
 * @example breadMade({formula, lines, state: bakeState(events), household}, belief).room // 18, as it was planned
 */
export function breadMade(
  { id = 'bake', formula, lines, state, household, device, course }: BreadNoted,
  belief: Belief,
): Bread {
  const { warmth, wished, divided, oven } = state;
  const room = warmth.air ?? wished?.air;
  const dough = warmth.dough ?? wished?.dough;
  const seen = seenIn(state);
  return breadOf(
    {
      id,
      formula: asBaked(formula, state),
      lines,
      ...(device === undefined ? {} : { device }),
      ...(divided ? { shaping: divided } : {}),
      ...(room === undefined ? {} : { room }),
      ...(dough === undefined ? {} : { dough }),
      ...(course ? { course } : {}),
      ...(oven === undefined ? {} : { oven }),
      ...(seen ? { seen } : {}),
      ...(wished?.wakes ? { wakes: wished.wakes } : {}),
    },
    household,
    belief,
  );
}

/**
 * The way that a bake's dough rises: as it was chosen, else as its recipe has it. Leaven that was made fit for its time
 * is in the dough by then, and a warm place that was measured is as warm as it was measured.
 */
export function wayOf(
  { way, warmth }: Pick<BakeState, 'way' | 'warmth'>,
  bread: Pick<Bread, 'formula'>,
): WayId {
  const goes = way ?? writtenWay(bread);
  const { weighed, measured } = wayPlaces[goes];
  return weighed ?? (warmth.air === undefined ? goes : (measured ?? goes));
}
