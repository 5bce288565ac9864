import type { Closed, Fact, Resources, Task, Use } from './task.ts';

/** A task at a time, minutes. */
export interface Placed {
  readonly task: Task;
  readonly start: number;
  readonly end: number;
  /** It stands there already: the others go round it. */
  readonly fast?: boolean;
}

/** An end of a task; undefined is the plan's beginning. */
type Moment = { readonly index: number; readonly end: 'start' | 'end' } | undefined;

/** One way out of a clash: `before` comes at least `gap` minutes before `after`. */
interface WayOut {
  readonly before: Moment;
  readonly after: Moment;
  readonly gap: number;
  /** Minutes that have to give way for it. */
  readonly shift: number;
}

/** Minutes in which somebody has to be there, measured from an end of the task. */
interface Stretch {
  readonly index: number;
  readonly from: readonly [end: 'start' | 'end', off: number];
  readonly to: readonly [end: 'start' | 'end', off: number];
}

/** Shorter than this is a glance: it comes between other work. Own choice, no source. */
const glance = 3;
/** Ovens further apart than this cannot be one oven, °C. Common practice, no source. */
const sameOven = 10;

/** When somebody has to be there for a task. */
function attended({ attended: of, hands }: Task, index: number): Stretch[] {
  const start: Stretch = { index, from: ['start', 0], to: ['start', hands] };
  if (of === 'all') return [{ index, from: ['start', 0], to: ['end', 0] }];
  if (of === 'start') return [start];
  return of === 'ends' ? [start, { index, from: ['end', -hands], to: ['end', 0] }] : [];
}

const at = (placed: readonly Placed[], index: number, [end, off]: Stretch['from']): number =>
  placed[index]![end] + off;

/** A moment of a stretch, and what it is off from it: of what stands fast, the minutes from the beginning. */
function momentOf(
  placed: readonly Placed[],
  index: number,
  of: Stretch['from'],
): readonly [Moment, number] {
  const [end, off] = of;
  return placed[index]!.fast ? [undefined, at(placed, index, of)] : [{ index, end }, off];
}

/** What cannot be helped any more is no clash: it has happened. */
const over = (fact: Fact | undefined, end: 'start' | 'end'): boolean => fact?.[end] !== undefined;

/** One stretch wholly before another. */
function before(placed: readonly Placed[], first: Stretch, second: Stretch): WayOut {
  const [end, off] = momentOf(placed, first.index, first.to);
  const [start, more] = momentOf(placed, second.index, second.from);
  return {
    before: end,
    after: start,
    gap: off - more,
    shift: at(placed, first.index, first.to) - at(placed, second.index, second.from),
  };
}

/** A stretch before or after a time that is closed to it. */
function around(placed: readonly Placed[], stretch: Stretch, { from, to }: Closed): WayOut[] {
  return [
    {
      before: { index: stretch.index, end: stretch.to[0] },
      after: undefined,
      gap: stretch.to[1] - from,
      shift: at(placed, stretch.index, stretch.to) - from,
    },
    {
      before: undefined,
      after: { index: stretch.index, end: stretch.from[0] },
      gap: to - stretch.from[1],
      shift: to - at(placed, stretch.index, stretch.from),
    },
  ];
}

const overlap = (placed: readonly Placed[], a: Stretch, b: Stretch): boolean =>
  at(placed, a.index, a.from) < at(placed, b.index, b.to) &&
  at(placed, b.index, b.from) < at(placed, a.index, a.to);

/** Two tasks that may share an oven: as warm as one another, or one of them without a warmth of its own. */
function together(a: Task, b: Task): boolean {
  const [x, y] = [a, b].map((t) => t.uses.find((u) => u.resource === 'oven')?.celsius);
  return x === undefined || y === undefined || Math.abs(x - y) <= sameOven;
}

/** Something that is held by what stands in it. */
interface Place {
  readonly room: number;
  /** So many at different temperatures. */
  readonly apart: number;
  readonly holds: (use: Use) => boolean;
}

/** All that is held: each oven by itself where they are told apart, else all of them together. */
function placesIn(resources: Resources): Place[] {
  const { oven, ovens, eachOven } = resources;
  const [usual] = Object.keys(eachOven ?? {});
  return [
    ...(eachOven
      ? Object.entries(eachOven).map(([id, room]) => ({
          room,
          apart: 1,
          holds: (u: Use) => u.resource === 'oven' && (u.oven ?? usual) === id,
        }))
      : [{ room: oven, apart: ovens, holds: (u: Use) => u.resource === 'oven' }]),
    ...(['mixer', 'machine', 'fridge'] as const).map((kind) => ({
      room: resources[kind],
      apart: 1,
      holds: (u: Use) => u.resource === kind,
    })),
  ];
}

/**
 * The first thing in a timetable that cannot be, with the ways out of it: nobody there, two at once for one
 * pair of hands, an oven at two temperatures, more in the fridge than it has room for.
 *
 * @returns undefined where nothing clashes
 */
export function clashIn(
  placed: readonly Placed[],
  {
    closed,
    resources,
    facts,
  }: {
    readonly closed: readonly Closed[];
    readonly resources: Resources;
    readonly facts: Readonly<Record<string, Fact>>;
  },
): readonly WayOut[] | undefined {
  const stretches = placed.flatMap(({ task }, i) => attended(task, i));
  const open = stretches.filter(({ index, to }) => !over(facts[placed[index]!.task.id], to[0]));
  /** What has begun, or stands fast, goes out of nothing's way. */
  const loose = ({ index }: Stretch): boolean =>
    !placed[index]!.fast && !over(facts[placed[index]!.task.id], 'start');
  for (const shut of closed) {
    const touched =
      shut.what === 'hands'
        ? open
        : placed.flatMap(({ task }, index): Stretch[] =>
            task.uses.some((u) => u.resource === 'oven' || u.resource === 'machine')
              ? [{ index, from: ['start', 0], to: ['end', 0] }]
              : [],
          );
    const bad = touched.find(
      (s) =>
        loose(s) && at(placed, s.index, s.from) < shut.to && at(placed, s.index, s.to) > shut.from,
    );
    if (bad) return around(placed, bad, shut);
  }
  const held = [
    {
      room: resources.people,
      apart: 1,
      stretches: open.filter(
        (s) => at(placed, s.index, s.to) - at(placed, s.index, s.from) >= glance,
      ),
      share: () => true,
    },
    ...placesIn(resources).map(({ room, apart, holds }) => ({
      room,
      apart,
      stretches: placed.flatMap(({ task }, index): Stretch[] =>
        task.uses.some(holds) ? [{ index, from: ['start', 0], to: ['end', 0] }] : [],
      ),
      share: together,
    })),
  ];
  for (const { room, apart, stretches: all, share } of held) {
    for (const [i, one] of all.entries()) {
      const beside = all
        .slice(i + 1)
        .filter(
          (other) =>
            overlap(placed, one, other) &&
            !sameBake(placed, one, other) &&
            (loose(one) || loose(other)),
        );
      const unlike = beside.filter(
        (other) => !share(placed[one.index]!.task, placed[other.index]!.task),
      );
      if (unlike.length >= apart) {
        return unlike.flatMap((other) => [before(placed, one, other), before(placed, other, one)]);
      }
      const full = (s: Stretch): boolean => !placed[s.index]!.task.uses.some((u) => u.empty);
      const crowd = full(one) ? atOnce(placed, one, beside.filter(full)) : [];
      if (crowd.length >= room + 1) {
        return crowd.flatMap((a, k) =>
          crowd
            .slice(k + 1)
            .filter((b) => !sameBake(placed, a, b) && (loose(a) || loose(b)))
            .flatMap((b) => [before(placed, a, b), before(placed, b, a)]),
        );
      }
    }
  }
  return undefined;
}

/** Steps of one bake follow each other by its own links. */
const sameBake = (placed: readonly Placed[], a: Stretch, b: Stretch): boolean =>
  placed[a.index]!.task.bake === placed[b.index]!.task.bake;

/** The most of these that are there in one moment, the one among them. */
function atOnce(placed: readonly Placed[], one: Stretch, beside: readonly Stretch[]): Stretch[] {
  const moments = [one, ...beside].map((s) => at(placed, s.index, s.from));
  let most: Stretch[] = [one];
  for (const moment of moments) {
    const there = [one, ...beside].filter(
      (s) => at(placed, s.index, s.from) <= moment && at(placed, s.index, s.to) > moment,
    );
    if (there.includes(one) && there.length > most.length) most = there;
  }
  return most;
}
