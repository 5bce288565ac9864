import type { BakeEvent } from '../bake/event.ts';
import { nothingLearned, type Belief } from '../household/belief.ts';
import type { Household } from '../household/household.ts';
import type { Formula } from '../formula/formula.ts';
import { learnFromBake, type Lesson } from './lesson.ts';

/** A finished bake as the book has it. */
export interface BookBake {
  readonly id: string;
  /** ISO 8601. */
  readonly startedAt: string;
  readonly formula: Formula;
  readonly events: readonly BakeEvent[];
}

/** What one bake teaches in a household as it was on that day. */
export const learnOnItsDay = (
  { formula, events, startedAt }: BookBake,
  household: Household,
  belief: Belief,
): { belief: Belief; lesson: Lesson } | undefined =>
  // Bags had been open for as long as they had on the day of the bake.
  learnFromBake(formula, events, { ...household, today: startedAt.slice(0, 10) }, belief);

/**
 * Learns a whole book from the beginning, bake by bake.
 *
 * @param bakes in the order in which they were finished
 * @yields how many bakes are learned so far
 * @returns the belief after the last, and the lesson of each bake that had one
 * @example [...learnBook([], household)] // []: nothing is learned from nothing
 */
export function* learnBook(
  bakes: readonly BookBake[],
  household: Household,
): Generator<number, { belief: Belief; lessons: ReadonlyMap<string, Lesson> }> {
  const lessons = new Map<string, Lesson>();
  let belief = nothingLearned;
  for (const [i, bake] of bakes.entries()) {
    const learned = learnOnItsDay(bake, household, belief);
    if (learned) {
      belief = learned.belief;
      lessons.set(bake.id, learned.lesson);
    }
    yield i + 1;
  }
  return { belief, lessons };
}
