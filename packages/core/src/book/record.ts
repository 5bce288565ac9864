import { asBaked } from '../bake/as-baked.ts';
import { householdOn, type Circumstances } from '../bake/circumstances.ts';
import type { BakeEvent } from '../bake/event.ts';
import { mixedLines } from '../bake/mixed.ts';
import { bakeState, type BakeState } from '../bake/state.ts';
import type { Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { totals, type Totals } from '../formula/totals.ts';
import { pantryIn, type Household } from '../household/household.ts';
import type { Lesson } from '../learn/lesson.ts';
import type { MadeBake } from '../learn/made-bake.ts';
import type { DeviceId } from '../machine/device.ts';

/** A bake as the book keeps it. */
export interface BookEntry {
  readonly id: string;
  /** Id of its formula, where the bread has one. */
  readonly bread?: string;
  readonly name: string;
  readonly method: DeviceId;
  /** ISO moment. */
  readonly startedAt: string;
  readonly formula: Formula;
  readonly events: readonly BakeEvent[];
  readonly circumstances: Circumstances;
  readonly lesson?: Lesson;
}

/** A bake as it is read: what was planned, what was made, what came of it. */
export interface BakeRecord extends Omit<BookEntry, 'events'> {
  readonly state: BakeState;
  /** The formula as it was meant that day: a share of it, with what took the place of what was missing. */
  readonly meant: Formula;
  /** Lines as they were meant. */
  readonly planned: readonly ResolvedLine[];
  /** Lines as they were weighed, with what was added at the check. */
  readonly made: readonly ResolvedLine[];
  /** Of the dough as it was made. */
  readonly totals?: Totals;
}

/**
 * Reads a bake of the book.
 *
 * @param household as it is now; the bake brings its own day
 * @example bakeRecord(entry, household).made[0].grams // as the scale showed it
 */
export function bakeRecord(entry: BookEntry, household: Household): BakeRecord {
  const { events, ...rest } = entry;
  const state = bakeState(events);
  const pantry = pantryIn(householdOn(household, entry.circumstances));
  const made = mixedLines(entry.formula, state, pantry);
  const sums = totals(made);
  return {
    ...rest,
    state,
    meant: asBaked(entry.formula, state),
    planned: resolve(asBaked(entry.formula, state), pantry),
    made,
    ...(sums ? { totals: sums } : {}),
  };
}

/** A bake of the book as it was made, for whoever asks how it rose or baked. */
export const asMade = (
  { formula, made, state, method }: BakeRecord,
  then: Household,
): MadeBake => ({ formula, lines: made, state, household: then, device: method });
