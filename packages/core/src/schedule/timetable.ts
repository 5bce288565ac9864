import { clashIn, type Placed } from './clash.ts';
import { Network } from './network.ts';
import type { Closed, Fact, Link, Locks, Resources, Task, Wish } from './task.ts';

/** All that a timetable is found for. */
export interface Puzzle {
  readonly tasks: readonly Task[];
  readonly links: readonly Link[];
  /** By bake. */
  readonly wishes: Readonly<Record<string, Wish>>;
  readonly closed: readonly Closed[];
  readonly resources: Resources;
  readonly facts: Readonly<Record<string, Fact>>;
  readonly locks: Locks;
  /** What is planned already and stays so. */
  readonly fast?: readonly Placed[];
  /** The moment from which things can still be done; what is done lies before it. */
  readonly now: number;
  /** Nothing is planned past it. */
  readonly horizon: number;
}

/** When each task is done, by its id. */
export type Timetable = ReadonlyMap<string, { readonly start: number; readonly end: number }>;

interface Search {
  /** None within the tries that it had. */
  readonly timetable?: Timetable;
  /** There is none: every way was tried. False where the tries ran out. */
  readonly impossible: boolean;
  readonly tries: number;
}

/** Orders that are tried before the search gives up. Own choice, no source. */
export const mostTries = 400;

/** A bake that is to begin at a time may be begun so much later, minutes. Own choice, no source. */
export const beginSlack = 30;

/** A dough that is ready waits so long for an oven that is cold, minutes: it is late, and not without a plan. Own choice, no source. */
const overrun = 60;

/** Places of a task's two moments. */
const startOf = (i: number): number => 1 + 2 * i;
const endOf = (i: number): number => 2 + 2 * i;

/** The moments with everything that holds whatever the order; undefined where that alone cannot be. */
function rulesOf(puzzle: Puzzle, at: ReadonlyMap<string, number>): Network | undefined {
  const { tasks, links, wishes, facts, locks, now, horizon } = puzzle;
  const network = new Network(1 + 2 * tasks.length);
  const holds = (from: number, to: number, least: number, most: number): boolean =>
    network.limit(from, to, most) && network.limit(to, from, -least);
  for (const [i, task] of tasks.entries()) {
    const [start, end] = [startOf(i), endOf(i)];
    const fact = facts[task.id];
    if (fact?.start === undefined) {
      if (!holds(0, start, now, horizon)) return undefined;
      const lock = locks[task.id];
      if (lock !== undefined && !network.fix(0, start, lock)) return undefined;
    } else if (!network.fix(0, start, fact.start)) return undefined;
    if (fact?.end === undefined) {
      if (!holds(0, end, now, horizon)) return undefined;
      // What has begun is over when it is over, however late that is; what comes after it may need a while yet.
      const over = fact?.start === undefined ? 0 : now - fact.start + overrun;
      const longer =
        fact?.start === undefined || fact.notBefore === undefined ? 0 : fact.notBefore - fact.start;
      const least = Math.max(task.least, longer);
      if (!holds(start, end, least, Math.max(task.most, over, least))) return undefined;
    } else if (!network.fix(0, end, fact.end)) return undefined;
  }
  for (const { from, to, least, most } of links) {
    const [a, b] = [at.get(from[0]), at.get(to[0])];
    if (a === undefined || b === undefined) continue;
    const done = facts[tasks[b]!.id]?.[to[1]] !== undefined;
    // What happened happened, whether or not it was meant so.
    if (done) continue;
    const [x, y] = [
      from[1] === 'start' ? startOf(a) : endOf(a),
      to[1] === 'start' ? startOf(b) : endOf(b),
    ];
    const past = facts[tasks[a]!.id]?.[from[1]];
    const late = past === undefined ? 0 : Math.max(0, now - past);
    if (!holds(x, y, least, Math.max(most, late))) return undefined;
  }
  for (const [bake, { readyBy, beginAt }] of Object.entries(wishes)) {
    const own = tasks.flatMap((t, i) => (t.bake === bake ? [i] : []));
    const [first, last] = [own[0], own.at(-1)];
    if (first === undefined || last === undefined) continue;
    if (readyBy !== undefined && !network.limit(0, endOf(last), readyBy)) return undefined;
    if (beginAt !== undefined && facts[tasks[first]!.id]?.start === undefined) {
      if (!holds(0, startOf(first), beginAt, beginAt + beginSlack)) return undefined;
    }
  }
  return network;
}

/** The pleasantest times that a network leaves: each task as long as usual, no waits, bakes as late or soon as wished. */
function pleasant(
  rules: Network,
  { tasks, links, wishes }: Puzzle,
  at: ReadonlyMap<string, number>,
): number[] {
  const network = rules.copy();
  for (const [i, task] of tasks.entries())
    if (!task.waits) network.fixNear(startOf(i), endOf(i), task.usual);
  for (const { from, to, least } of links) {
    const [a, b] = [at.get(from[0])!, at.get(to[0])!];
    const [x, y] = [
      from[1] === 'start' ? startOf(a) : endOf(a),
      to[1] === 'start' ? startOf(b) : endOf(b),
    ];
    network.fixNear(x, y, least);
  }
  for (let i = tasks.length - 1; i >= 0; i -= 1) {
    const late = wishes[tasks[i]!.bake]?.readyBy !== undefined;
    for (const moment of [endOf(i), startOf(i)])
      network.fix(0, moment, late ? network.most(0, moment) : network.least(0, moment));
  }
  return tasks.flatMap((_, i) => [network.most(0, startOf(i)), network.most(0, endOf(i))]);
}

/**
 * Finds when each task is done: two things that cannot be at once are put one after the other, the way that
 * moves less first, until nothing clashes. Depth first, and capped.
 *
 * @example findTimetable(puzzle).timetable?.get('loaf:bake') // {start: 540, end: 578}
 */
export function findTimetable(puzzle: Puzzle, most = mostTries): Search {
  const { tasks } = puzzle;
  const at = new Map(tasks.map((t, i) => [t.id, i]));
  const first = rulesOf(puzzle, at);
  if (!first) return { impossible: true, tries: 1 };
  const open = [first];
  let tries = 0;
  while (open.length > 0 && tries < most) {
    tries += 1;
    const network = open.pop()!;
    const times = pleasant(network, puzzle, at);
    const placed: Placed[] = tasks.map((task, i) => ({
      task,
      start: times[2 * i]!,
      end: times[2 * i + 1]!,
    }));
    const clash = clashIn([...placed, ...(puzzle.fast ?? [])], puzzle);
    if (!clash) {
      return {
        timetable: new Map(placed.map(({ task, start, end }) => [task.id, { start, end }])),
        impossible: false,
        tries,
      };
    }
    // The way that moves less lies on top.
    for (const { before, after, gap } of [...clash].sort((a, b) => b.shift - a.shift)) {
      const next = network.copy();
      const moment = (of: (typeof clash)[number]['before']): number =>
        of === undefined ? 0 : of.end === 'start' ? startOf(of.index) : endOf(of.index);
      if (next.limit(moment(after), moment(before), -gap)) open.push(next);
    }
  }
  return { impossible: open.length === 0, tries };
}
