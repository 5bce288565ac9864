import { isRefused, refuse, type Refused } from '../quantity/refusal.ts';
import { stagesOf } from '../formula/formula.ts';
import type { Appliance } from '../machine/appliance.ts';
import type { Bread } from './bread.ts';
import { bakedByMachine, breadTasks, type BreadTasks } from './bread-tasks.ts';
import type { Closed, Fact, Locks, Resources, Task, Wish } from './task.ts';
import { eatings } from '../style/nature.ts';
import { styles } from '../style/style.ts';
import type { Placed } from './clash.ts';
import { beginSlack, findTimetable, mostTries, type Puzzle, type Timetable } from './timetable.ts';
import { intoNight } from './into-night.ts';
import { margins } from './unsure.ts';
import { ways, type RiseWays } from './ways.ts';
import { wayCost } from './written-way.ts';
import { wayIds, type WayId } from './way-id.ts';

/** A bread with what is wished of it. Minutes from the plan's beginning. */
interface BreadWished {
  readonly bread: Bread;
  readonly wish: Wish;
  /** The only ways that it may rise; every one where absent. */
  readonly ways?: readonly WayId[];
  /** Its steps may stand longer than is good before the next: it has begun, and what comes next is not ready. */
  readonly waits?: true;
}

/** All that a plan is made of. */
export interface PlanAsked {
  readonly breads: readonly BreadWished[];
  readonly closed: readonly Closed[];
  readonly resources: Resources;
  readonly facts?: Readonly<Record<string, Fact>>;
  readonly locks?: Locks;
  readonly now: number;
}

/** A step at its time, with how far off that it may come. */
export interface PlannedStep extends Task {
  readonly start: number;
  readonly end: number;
  /** It may be due so early, 8 times in 10, and be over so early and so late. */
  readonly earliest: number;
  readonly soonest: number;
  readonly latest: number;
}

/** How a bread of a plan rises, and for how long. */
export interface PlannedBread {
  readonly id: string;
  readonly name: string;
  /** None where no model tells how it rises. */
  readonly way?: WayId;
  readonly rises?: RiseWays;
  /** Which of several ovens it is baked in. */
  readonly oven?: Appliance;
  /** Its starter is built to fit the time, and not as its recipe has it. */
  readonly fitsBuild?: true;
}

/** A wish that, dropped, lets the rest be met. */
interface Dropped {
  /** 'asleep', 'away', 'power', or a bread's id with a colon and its wish. */
  readonly wish: string;
  /** What is had then: when each bread is ready, minutes. */
  readonly ready: Readonly<Record<string, number>>;
}

export interface Plan {
  readonly breads: readonly PlannedBread[];
  readonly steps: readonly PlannedStep[];
}

/** Why there is none, and what to give up for one. */
export interface NoPlan extends Refused {
  readonly drop: readonly Dropped[];
  /** The tries ran out before every order was looked at. */
  readonly unsure: boolean;
}

/** More breads than this are planned in two plans. Own choice, no source. */
export const mostBreads = 8;
/** Longest plan, minutes: two weeks. */
export const longestPlan = 14 * 24 * 60;
/** Ways together that are tried, and orders: in all of them, and of one bread alone. Own choice, no source. */
const mostTogether = 60;
const mostOrders = 600;
const triesAlone = 120;
/** Another oven than the usual counts so much beside a way: it is taken where the usual one is not free. Own choice, no source. */
const otherOven = 0.2;
/** So does another build of the starter than the recipe's. Own choice, no source. */
const otherBuild = 0.5;

/** A bread's ways with their steps, the cheapest first. */
interface Choice extends BreadTasks {
  readonly id: string;
  readonly way?: WayId;
  readonly rises?: RiseWays;
  /** Where there are several. */
  readonly oven?: Appliance;
  readonly fitsBuild?: true;
  readonly cost: number;
}

function choicesOf(wished: BreadWished): Choice[] {
  const found = goingsOf(wished);
  return wished.waits
    ? found.map((choice) => ({
        ...choice,
        links: choice.links.map((l) => ({ ...l, most: longestPlan })),
      }))
    : found;
}

/** A bread in each oven, its starter built as its recipe has it or to fit the time, with what that counts beside a way. */
function variants(bread: Bread): ReadonlyArray<{ readonly of: Bread; readonly more: number }> {
  const { otherOvens = [] } = bread;
  const ovens = [{}, ...otherOvens].map((by, i) => ({
    of: { ...bread, ...by },
    more: i > 0 ? otherOven : 0,
  }));
  const hasBuild = stagesOf(bread.formula).some((s) => s.process?.seed !== undefined);
  return hasBuild && !bread.ripe
    ? ovens.flatMap((o) => [
        o,
        { of: { ...o.of, fitsBuild: true as const }, more: o.more + otherBuild },
      ])
    : ovens;
}

function goingsOf({ bread, ways: allowed = wayIds }: BreadWished): Choice[] {
  if (bakedByMachine(bread)) return [{ id: bread.id, cost: 0, ...breadTasks(bread, undefined) }];
  const going = (way: WayId): Choice[] => {
    const rises = ways[way].of(bread);
    if (!rises) return [];
    const cost = wayCost(bread, way);
    return variants(bread).map(({ of, more }): Choice => ({
      id: bread.id,
      way,
      rises,
      cost: cost + more,
      ...breadTasks(of, rises),
      ...(bread.otherOvens && of.oven ? { oven: of.oven } : {}),
      ...(of.fitsBuild ? { fitsBuild: true } : {}),
    }));
  };
  const can = allowed.flatMap(going);
  // A bread that cannot go any of them rises as it is: so it is led, too.
  const found = can.length > 0 ? can : going('as-it-is');
  found.sort((a, b) => a.cost - b.cost);
  // No model tells how it rises: a usual time stands there.
  return found.length > 0 ? found : [{ id: bread.id, cost: 0, ...breadTasks(bread, undefined) }];
}

/** Every way of every bread with every other, the cheapest together first. */
function together(choices: ReadonlyArray<readonly Choice[]>): Choice[][] {
  const all = choices.reduce<Choice[][]>(
    (sets, of) =>
      sets
        .flatMap((set) => of.map((choice) => [...set, choice]))
        .sort(byCost)
        .slice(0, 4 * mostTogether),
    [[]],
  );
  return all.slice(0, mostTogether);
}
const cost = (set: readonly Choice[]): number => set.reduce((sum, c) => sum + c.cost, 0);
const byCost = (a: readonly Choice[], b: readonly Choice[]): number => cost(a) - cost(b);

interface Found {
  readonly timetable: Timetable;
  readonly set: readonly Choice[];
  readonly cost: number;
}

function puzzleOf(asked: PlanAsked, set: readonly Choice[], wishes: Puzzle['wishes']): Puzzle {
  return {
    tasks: set.flatMap((c) => c.tasks),
    links: set.flatMap((c) => c.links),
    wishes,
    closed: asked.closed,
    resources: asked.resources,
    facts: asked.facts ?? {},
    locks: asked.locks ?? {},
    now: asked.now,
    horizon: asked.now + longestPlan,
  };
}

/** What a bread's way counts with what its times count: the hours that it stands ready, by when it is at its best. */
const worth = (
  choice: Choice,
  timetable: Timetable,
  wish: Wish | undefined,
  { formula }: Pick<Bread, 'formula'>,
): number => {
  if (wish?.readyBy === undefined) return choice.cost;
  const { fresh, stale } = eatings[styles[formula.style].eaten];
  const early = (wish.readyBy - timetable.get(choice.tasks.at(-1)!.id)!.end) / 60;
  return choice.cost + stale * Math.max(0, early - fresh);
};

/** What a rise that may be over at night counts beside a way: late it calls somebody out of bed, early it waits. Own choice, no source. */
const atNight = { late: 1, early: 0.5 } as const;

/** What it counts that rises of a bread may be over when nobody is up. */
function nightCost({ tasks, links }: Choice, timetable: Timetable, { closed }: PlanAsked): number {
  const margin = margins(tasks, links, timetable);
  return tasks.reduce((sum, t) => {
    const night = intoNight({ ...t, ...timetable.get(t.id)!, ...margin.get(t.id)! }, closed);
    return sum + (night ? atNight[night] : 0);
  }, 0);
}

/** One bread after the other, each the best way round those before it. */
function oneByOne(
  asked: PlanAsked,
  choices: ReadonlyArray<readonly Choice[]>,
  order: readonly number[],
): Found | undefined {
  const times = new Map<string, { start: number; end: number }>();
  const set: Choice[] = [];
  const fast: Placed[] = [];
  let cost = 0;
  for (const i of order) {
    const { bread, wish } = asked.breads[i]!;
    let best: { choice: Choice; timetable: Timetable; worth: number } | undefined;
    for (const choice of choices[i]!) {
      if (best && choice.cost >= best.worth) break;
      const puzzle = { ...puzzleOf(asked, [choice], { [bread.id]: wish }), fast };
      const { timetable } = findTimetable(puzzle, triesAlone);
      if (!timetable) continue;
      const of = worth(choice, timetable, wish, bread) + nightCost(choice, timetable, asked);
      if (!best || of < best.worth) best = { choice, timetable, worth: of };
    }
    if (!best) return undefined;
    const { choice, timetable } = best;
    for (const task of choice.tasks) {
      const at = timetable.get(task.id)!;
      times.set(task.id, at);
      fast.push({ task, ...at, fast: true });
    }
    set[i] = choice;
    cost += best.worth;
  }
  return { timetable: times, set, cost };
}

/** All at once, the cheapest ways first: slower, and sure where there is nothing to find. */
function allAtOnce(
  asked: PlanAsked,
  choices: ReadonlyArray<readonly Choice[]>,
  orders: number,
): { found?: Found; exhausted: boolean } {
  const wishes = Object.fromEntries(asked.breads.map((b) => [b.bread.id, b.wish]));
  // A way that one bread cannot go alone, it cannot go among others.
  let exhausted = true;
  const alone = choices.map((of) =>
    of.filter((choice) => {
      const { timetable, impossible } = findTimetable(
        puzzleOf(asked, [choice], wishes),
        triesAlone,
      );
      if (!timetable && !impossible) exhausted = false;
      return timetable !== undefined;
    }),
  );
  if (alone.some((of) => of.length === 0)) return { exhausted };
  let left = orders;
  for (const set of together(alone)) {
    if (left <= 0) return { exhausted: false };
    const { timetable, impossible, tries } = findTimetable(
      puzzleOf(asked, set, wishes),
      Math.min(left, mostTries),
    );
    left -= tries;
    if (timetable) return { found: { timetable, set, cost: cost(set) }, exhausted: true };
    if (!impossible) exhausted = false;
  }
  return { exhausted };
}

/** The best timetable that is found: the breads one by one in some orders, else all at once. */
function search(
  asked: PlanAsked,
  choices: ReadonlyArray<readonly Choice[]>,
  orders = mostOrders,
): { found?: Found; exhausted: boolean } {
  const given = asked.breads.map((_, i) => i);
  const due = (i: number): number => asked.breads[i]!.wish.readyBy ?? Infinity;
  const inOrders = [given, [...given].sort((a, b) => due(a) - due(b)), [...given].reverse()];
  const tried = asked.breads.length === 1 ? [given] : inOrders;
  const found = tried
    .flatMap((order) => oneByOne(asked, choices, order) ?? [])
    .sort((a, b) => a.cost - b.cost)[0];
  return found ? { found, exhausted: true } : allAtOnce(asked, choices, orders);
}

const readyAt = ({ timetable, set }: Found): Record<string, number> =>
  Object.fromEntries(set.map((c) => [c.id, timetable.get(c.tasks.at(-1)!.id)!.end]));

/** The same plan without one of its wishes. */
function without(asked: PlanAsked, wish: string): PlanAsked {
  return {
    ...asked,
    closed: asked.closed.filter((c) => c.wish !== wish),
    breads: asked.breads.map((b) => {
      const { readyBy, beginAt } = b.wish;
      return {
        ...b,
        wish: {
          ...(readyBy !== undefined && wish !== `${b.bread.id}:ready` ? { readyBy } : {}),
          ...(beginAt !== undefined && wish !== `${b.bread.id}:begin` ? { beginAt } : {}),
        },
      };
    }),
  };
}

/** The wishes of a plan, each by the name that it is dropped by. */
const wishesIn = ({ breads, closed }: PlanAsked): string[] => [
  ...breads.flatMap(({ bread, wish }) => [
    ...(wish.readyBy === undefined ? [] : [`${bread.id}:ready`]),
    ...(wish.beginAt === undefined ? [] : [`${bread.id}:begin`]),
  ]),
  ...new Set(closed.map((c) => c.wish)),
];

/**
 * Whether a wish cannot be met any more, whatever is done: its table was laid, or it should have begun.
 *
 * @param now minutes from the plan's beginning
 * @example isMissed({readyBy: 60}, 61) // true
 */
export const isMissed = ({ readyBy, beginAt }: Wish, now: number): boolean =>
  (readyBy !== undefined && readyBy < now) || (beginAt !== undefined && beginAt + beginSlack < now);

/**
 * Plans breads: when each step is done, how each bread rises, so that the wishes are met; or which wish to drop,
 * and what is had then.
 *
 * @param asked times in minutes from the plan's beginning
 * @example isRefused(plan({breads: [{bread, wish: {readyBy: 720}}], closed: [], resources: oneKitchen, now: 0})) // false
 */
export function plan(asked: PlanAsked): Plan | NoPlan {
  const none = (code: string, says: string): NoPlan => ({
    ...refuse(code, says),
    drop: [],
    unsure: false,
  });
  if (asked.breads.length === 0) return none('nothing', 'Nothing to plan yet.');
  if (asked.breads.length > mostBreads) {
    return none(
      'too-many',
      `${asked.breads.length} bakes are too many for one plan: up to ${mostBreads} at a time.`,
    );
  }
  for (const { bread, wish } of asked.breads) {
    if (isMissed(wish, asked.now))
      return none('past', `${bread.name}: that time has passed. Choose a later one.`);
    if (Math.max(wish.readyBy ?? 0, wish.beginAt ?? 0) > asked.now + longestPlan)
      return none('too-far', `${bread.name}: a plan reaches two weeks ahead, no further.`);
  }
  const choices = asked.breads.map(choicesOf);
  const { found, exhausted } = search(asked, choices);
  if (found) {
    const tasks = found.set.flatMap((c) => c.tasks);
    const links = found.set.flatMap((c) => c.links);
    const done = new Set(
      Object.entries(asked.facts ?? {}).flatMap(([id, f]) => (f.end === undefined ? [] : [id])),
    );
    const margin = margins(tasks, links, found.timetable, done);
    return {
      breads: asked.breads.map(({ bread: { id, name } }, i) => {
        const { way, rises, oven, fitsBuild } = found.set[i]!;
        return {
          id,
          name,
          ...(way ? { way } : {}),
          ...(rises ? { rises } : {}),
          ...(oven ? { oven } : {}),
          ...(fitsBuild ? { fitsBuild } : {}),
        };
      }),
      steps: tasks
        .map((task) => ({ ...task, ...found.timetable.get(task.id)!, ...margin.get(task.id)! }))
        .sort((a, b) => a.start - b.start || a.end - b.end),
    };
  }
  const drop = wishesIn(asked).flatMap((wish): Dropped[] => {
    const { found: other } = search(without(asked, wish), choices, 200);
    return other ? [{ wish, ready: readyAt(other) }] : [];
  });
  return {
    ...refuse(
      'no-plan',
      exhausted
        ? 'This can’t be ready in time.'
        : 'We found no plan for this; not every order could be tried.',
    ),
    drop,
    unsure: !exhausted,
  };
}

/** Whether there is a plan. */
export const isPlan = (of: Plan | NoPlan): of is Plan => !isRefused(of);
