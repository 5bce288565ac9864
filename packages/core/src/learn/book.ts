import { householdThen, type Circumstances, type KitchenThen } from '../bake/circumstances.ts';
import type { BakeEvent } from '../bake/event.ts';
import { allLines, type Formula } from '../formula/formula.ts';
import { nothingLearned, rest, absorptionKey, type Belief } from '../belief/belief.ts';
import type { Household } from '../household/household.ts';
import type { DeviceId } from '../machine/device.ts';
import { learnFromBake, type Lesson } from './lesson.ts';
import { freshSack } from './sack.ts';
import { nothingWatched } from './sack-watch.ts';
import { BreadsAside } from './breads-aside.ts';
import { restBreads } from './rest-breads.ts';
import { withTouchTasks } from './touch-task.ts';

/**
 * Version of the dough model: raised with every change of its figures or rules that moves what a bake
 * teaches, so that each book is learned again by it.
 */
export const modelVersion = 12;

/** A finished bake as the book has it. */
export interface BookBake {
  readonly id: string;
  /** Id of the formula, where the bread has one. */
  readonly bread?: string;
  /** In which it was made; as its formula says where absent. */
  readonly method?: DeviceId;
  readonly formula: Formula;
  readonly events: readonly BakeEvent[];
  readonly circumstances: Circumstances;
}

/** A bake that is learned: how many are by now, what was believed before it, what it taught. */
interface LearnedBake {
  readonly done: number;
  /** With all that is known of its bread. */
  readonly before: Belief;
  readonly lesson?: Lesson;
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

const noneRest: ReadonlyMap<number, ReadonlySet<string>> = new Map();

/** Bags that are used up, by the place of the last bake that they were in: from there on they rest. */
function lastOfBags(
  bakes: readonly BookBake[],
  { bags }: Household,
): ReadonlyMap<number, ReadonlySet<string>> {
  const finished = new Map(
    bags
      .filter((b) => b.finished)
      .map((b) => [b.id, absorptionKey({ ingredient: b.ingredient, bag: b.id })]),
  );
  if (finished.size === 0) return new Map();
  const used = new Map<Formula, readonly string[]>();
  const last = new Map<string, number>();
  for (const [i, { formula }] of bakes.entries()) {
    const known =
      used.get(formula) ??
      allLines(formula).flatMap((l) => (l.bag && finished.has(l.bag) ? [l.bag] : []));
    used.set(formula, known);
    for (const bag of known) last.set(bag, i);
  }
  const at = new Map<number, Set<string>>();
  for (const [bag, i] of last) at.set(i, (at.get(i) ?? new Set<string>()).add(finished.get(bag)!));
  return at;
}

/** A bake of the last ones, with what was believed before it and the flour that its sack would be noticed by. */
interface PastBake {
  readonly bake: BookBake;
  readonly before: Belief;
  readonly flour?: string;
}
/** No sack is noticed later than after so many bakes. Own choice, no source. */
const longestRun = 24;

/** Whether a sack was said to be new after its dough was felt: what was said before, at the weighing, is of this dough alone. */
function isNewSack({ events }: BookBake): boolean {
  const said = events.findLastIndex((e) => e.kind === 'sack');
  const sack = events[said];
  return (
    sack?.kind === 'sack' &&
    sack.data.sense === 'new' &&
    events.findLastIndex((e) => e.kind === 'felt') < said
  );
}

/**
 * What is believed where a new sack began some doughs before it was asked about: as before the first of them, with a sack
 * that nobody knows, and all of them learned again.
 *
 * @returns undefined where it began with the last of them: that has been learned so
 */
function fromSack(
  past: readonly PastBake[],
  { key, doughs }: NonNullable<Lesson['asks']>,
  teach: (bake: BookBake, on: Belief) => { readonly belief: Belief } | undefined,
): Belief | undefined {
  const of = past.flatMap(({ flour }, i) => (flour === key ? [i] : []));
  const first = of.at(-doughs) ?? of[0];
  if (doughs === 1 || first === undefined) return undefined;
  const quiet = (belief: Belief, doughsQuiet: number): Belief => ({
    ...belief,
    watch: { ...belief.watch, [key]: { ...nothingWatched, quiet: doughsQuiet } },
  });
  let now = quiet(freshSack(past[first]!.before, key), longestRun);
  for (const { bake } of past.slice(first)) {
    const events = bake.events.filter((e) => e.kind !== 'sack');
    now = teach({ ...bake, events }, now)?.belief ?? now;
  }
  return quiet(now, 0);
}

/**
 * Learns from bakes on top of what is believed, each in the kitchen that it was made in.
 *
 * @param bakes in the order in which they were finished
 * @param household as it is: what its bags and own ingredients are, and its figures
 * @param from what is believed before the first of them; absent where they are the whole book
 * @yields each bake as it is learned
 * @returns the belief after the last, and the lesson of each bake that had one
 * @example [...learnBook([], household)] // []: nothing is learned from nothing
 */
export function* learnBook(
  bakes: readonly BookBake[],
  household: Household,
  from?: Belief,
): Generator<LearnedBake, { belief: Belief; lessons: ReadonlyMap<string, Lesson> }> {
  const lessons = new Map<string, Lesson>();
  const householdAt = householdsOf(household);
  // Only who has the whole book before him knows which bake was a bag's last.
  const resting = from === undefined ? lastOfBags(bakes, household) : noneRest;
  const breads = new BreadsAside();
  const past: PastBake[] = [];
  let belief = from ?? withTouchTasks(nothingLearned, household);
  for (const [i, bake] of bakes.entries()) {
    const { id, bread } = bake;
    belief = breads.back(belief, bread);
    const before = belief;
    const teach = (of: BookBake, on: Belief) =>
      learnFromBake(of.formula, of.events, householdAt(of.circumstances), on, of.bread, of.method);
    const learned = teach(bake, belief);
    const asks = learned?.lesson.asks;
    past.push({ bake, before, ...(learned?.flour ? { flour: learned.flour } : {}) });
    if (past.length > longestRun) past.shift();
    if (learned) {
      const taught = (isNewSack(bake) && asks && fromSack(past, asks, teach)) || learned.belief;
      const rested = restBreads(taught);
      belief = rested === taught ? rested : breads.aside(rested);
      lessons.set(id, learned.lesson);
    }
    const gone = resting.get(i);
    if (gone) belief = rest(belief, gone);
    yield { done: i + 1, before, ...(learned ? { lesson: learned.lesson } : {}) };
  }
  return { belief: breads.all(belief), lessons };
}
