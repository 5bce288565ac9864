import { householdThen, type Circumstances, type KitchenThen } from '../bake/circumstances.ts';
import type { BakeEvent } from '../bake/event.ts';
import type { Formula } from '../formula/formula.ts';
import { nothingLearned, type Belief } from '../household/belief.ts';
import type { Household } from '../household/household.ts';
import { learnFromBake, type Lesson } from './lesson.ts';

/**
 * Version of the dough model: raised with every change of its figures or rules that moves what a bake
 * teaches, so that each book is learned again by it.
 */
export const modelVersion = 5;

/** A finished bake as the book has it. */
export interface BookBake {
  readonly id: string;
  /** Id of the formula, where the bread has one. */
  readonly bread?: string;
  readonly formula: Formula;
  readonly events: readonly BakeEvent[];
  readonly circumstances: Circumstances;
}

/** Households as they were, one for each kitchen of that time. */
function householdsOf(household: Household): (of: Circumstances) => Household {
  const known = new Map<KitchenThen, Household>();
  return ({ kitchen, day }) => {
    const then = known.get(kitchen) ?? householdThen(household, kitchen);
    known.set(kitchen, then);
    return { ...then, today: day };
  };
}

/**
 * Learns from bakes on top of what is believed, each in the kitchen that it was made in.
 *
 * @param bakes in the order in which they were finished
 * @param household as it is: what its bags and own ingredients are, and its figures
 * @yields how many bakes are learned so far
 * @returns the belief after the last, and the lesson of each bake that had one
 * @example [...learnBook([], household)] // []: nothing is learned from nothing
 */
export function* learnBook(
  bakes: readonly BookBake[],
  household: Household,
  from: Belief = nothingLearned,
): Generator<number, { belief: Belief; lessons: ReadonlyMap<string, Lesson> }> {
  const lessons = new Map<string, Lesson>();
  const householdAt = householdsOf(household);
  let belief = from;
  for (const [i, { id, bread, formula, events, circumstances }] of bakes.entries()) {
    const learned = learnFromBake(formula, events, householdAt(circumstances), belief, bread);
    if (learned) {
      belief = learned.belief;
      lessons.set(id, learned.lesson);
    }
    yield i + 1;
  }
  return { belief, lessons };
}
