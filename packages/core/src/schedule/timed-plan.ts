import { takeCorrection } from '../formula/take-correction.ts';
import type { Belief } from '../belief/belief.ts';
import type { Household } from '../household/household.ts';
import type { Week } from '../household/week.ts';
import type { LeavenChange } from '../ferment/leaven-change.ts';
import { amountsFor, keptBack, type BreadAmounts } from './amounts.ts';
import { breadOf, type Bread, type BreadSaid } from './bread.ts';
import { clockFrom, closedIn, isoOf, minuteOf, type Clock } from './clock.ts';
import {
  isMissed,
  isPlan,
  plan,
  type NoPlan,
  type Plan,
  type PlanAsked,
  type PlannedBread,
  type PlannedStep,
} from './plan.ts';
import type { FactsNoted, StarterFed } from './planned-bake.ts';
import { stepCurve } from './step-curve.ts';
import { handsIn } from './hands-in.ts';
import { intoNight, type IntoNight } from './into-night.ts';
import { oneKitchen, type Closed, type Fact, type Resources, type Wish } from './task.ts';
import { wakesOf } from '../starter/wakes.ts';
import { timerFor, timerText } from '../course/timer.ts';
import { isRefused } from '../quantity/refusal.ts';
import { usualMinutes } from './usual-minutes.ts';
import type { WayId } from './way-id.ts';
import { ways } from './ways.ts';
import { notAsWritten } from './written-way.ts';

/** A bread with what is wished of it, and what became of it so far. Moments are ISO texts. */
export interface BakeWished extends BreadSaid {
  readonly readyBy?: string;
  readonly beginAt?: string;
  readonly ways?: readonly WayId[];
  /** When its starter was last fed, and where it stands, where that is told beside the jar. */
  readonly fed?: StarterFed;
  /** By step, without the bake's id. */
  readonly facts?: FactsNoted;
  readonly locks?: Readonly<Record<string, string>>;
}

/** All that a plan is worked out of: plain data, that goes to another thread. */
export interface PlanQuestion {
  readonly now: string;
  readonly zone: string;
  readonly bakes: readonly BakeWished[];
  readonly week: Week;
  readonly resources: Resources;
  readonly household: Household;
  readonly belief: Belief;
}

/** A step by the clock of the house. */
export interface TimedStep extends Pick<
  PlannedStep,
  | 'id'
  | 'bake'
  | 'kind'
  | 'label'
  | 'attended'
  | 'until'
  | 'says'
  | 'celsius'
  | 'uses'
  | 'doubt'
  | 'parts'
  | 'folds'
  | 'turns'
  | 'rounds'
> {
  readonly earliest: string;
  readonly start: string;
  readonly end: string;
  readonly soonest: string;
  readonly latest: string;
  readonly minutes: number;
  /** What a machine's timer is set to when everything is in, so that it is ready then: hours and minutes. */
  readonly timer?: string;
  /** It may be over when nobody is up: later or sooner than planned. */
  readonly night?: IntoNight;
  /** The name of the oven, where there are several. */
  readonly oven?: string;
  /** When somebody's hands are wanted. */
  readonly hands: ReadonlyArray<{ readonly from: string; readonly to: string }>;
  /** How it rises, from its start. */
  readonly curve?: ReadonlyArray<{
    readonly minute: number;
    readonly volume: number;
    readonly celsius: number;
  }>;
}

/** A bake as it was planned: how it rises, and what that asks of its amounts. */
export interface TimedBake extends BreadAmounts {
  readonly id: string;
  readonly name: string;
  readonly way?: WayId;
  /** How it rises, in two words and in a sentence. */
  readonly label?: string;
  readonly says?: string;
  /** Why it does not stay cold as its recipe has it. */
  readonly notWritten?: string;
  /** Which of several ovens it is baked in. */
  readonly oven?: string;
  /** Feedings that wake its starter first. */
  readonly wakes?: number;
  /** It has begun, and its wish cannot be met any more. */
  readonly late?: boolean;
}

export interface TimedPlan {
  readonly zone: string;
  readonly bakes: readonly TimedBake[];
  readonly steps: readonly TimedStep[];
  /** When nobody is there, or power is dear. */
  readonly closed: ReadonlyArray<{
    readonly from: string;
    readonly to: string;
    readonly what: Closed['what'];
  }>;
  /** A dough that has begun calls somebody out of bed, or home. */
  readonly calls: boolean;
  /** A dough that has begun stands longer than is good before its next step: the oven is cold, or a step came late. */
  readonly waits?: true;
  /** Bakes that nobody began in time: they stand in no plan any more. */
  readonly missed: readonly string[];
}

/** Why there is no plan, and which wish to drop for one. */
export interface NoTimedPlan {
  readonly steps: null;
  readonly code: string;
  readonly why: string;
  /** Each with what is had without it: when each bake is ready. */
  readonly drop: ReadonlyArray<{
    readonly wish: string;
    readonly bake?: string;
    readonly ready: Readonly<Record<string, string>>;
  }>;
}

export const isTimed = (of: TimedPlan | NoTimedPlan): of is TimedPlan => of.steps !== null;

/** Whether anything of a bake was begun. */
const hasBegun = (facts: BakeWished['facts'] = {}): boolean =>
  Object.values(facts).some((f) => f.start !== undefined);

interface AsNeeded {
  readonly found: Plan | NoPlan;
  readonly late: boolean;
  readonly calls: boolean;
  readonly waits?: true;
}

/**
 * A dough that has begun cannot wait: where its wishes cannot all be met, it is late, and where that is not
 * enough, somebody gets up for it.
 */
function asNeeded(asked: PlanAsked, begun: ReadonlySet<string>): AsNeeded {
  const first = { found: plan(asked), late: false, calls: false };
  if (isPlan(first.found) || begun.size === 0) return first;
  const late: PlanAsked = {
    ...asked,
    breads: asked.breads.map((b) => (begun.has(b.bread.id) ? { ...b, wish: {} } : b)),
  };
  const second = { found: plan(late), late: true, calls: false };
  if (isPlan(second.found)) return second;
  const power = asked.closed.filter((c) => c.what === 'power');
  const third = { found: plan({ ...late, closed: power }), late: true, calls: true };
  if (isPlan(third.found)) return third;
  // The oven is cold, or a hand was not there: the dough stands longer than is good, and is told so.
  const waits: PlanAsked = {
    ...late,
    closed: power,
    breads: late.breads.map((b) => (begun.has(b.bread.id) ? { ...b, waits: true } : b)),
  };
  const fourth = { found: plan(waits), late: true, calls: false, waits: true as const };
  return isPlan(fourth.found) ? fourth : first;
}

/** Times that a plan is made again for what its leaven moves. Own choice, no source. */
const rounds = 3;

/** A bread as it is planned, with what of its leaven is other than in its formula. */
interface Fitted {
  readonly bread: Bread;
  readonly leaven?: LeavenChange;
}

/** A bread with the leaven that its planned first rise takes; as it is where it takes none other. */
function withLeaven(
  bake: BakeWished,
  bread: Bread,
  planned: PlannedBread,
  steps: readonly PlannedStep[],
  household: Household,
  belief: Belief,
): Fitted {
  // What is weighed already cannot be made other.
  if (bake.lines) return { bread };
  const { leaven } = amountsFor(bread, planned, steps, keptBack, true);
  if (!leaven) return { bread };
  if (!('changes' in leaven) || leaven.changes.length === 0) return { bread, leaven };
  const { changes } = leaven;
  const correction = { correction: 'plan:leaven', reason: '', basis: '', changes };
  const formula = takeCorrection(bake.formula, correction);
  return { bread: breadOf({ ...bake, formula }, household, belief), leaven };
}

/** Two amounts that differ by less are weighed alike, grams. Own choice, no source. */
const alike = 0.1;

/** Whether two breads are made of the same. */
const isLike = (one: Bread, two: Bread): boolean =>
  one === two ||
  (one.lines.length === two.lines.length &&
    one.lines.every((l, i) => Math.abs(l.grams - two.lines[i]!.grams) < alike));

/** What a plan asks of a bread's amounts, with the leaven that it was planned with. */
function amountsOf(
  bread: Bread,
  planned: PlannedBread,
  steps: readonly PlannedStep[],
  { leaven }: Fitted,
): BreadAmounts {
  return { ...amountsFor(bread, planned, steps, keptBack, false), ...(leaven ? { leaven } : {}) };
}

/** A question as the planner takes it, in minutes from now. */
interface Minutes {
  readonly clock: Clock;
  /** What is planned: what nobody began in time does not stand in the way of the rest. */
  readonly bakes: readonly BakeWished[];
  readonly begun: ReadonlySet<string>;
  readonly closed: PlanAsked['closed'];
  asked(breads: readonly Bread[], ways: ReadonlyArray<readonly WayId[] | undefined>): PlanAsked;
}

/** What was noted of steps, each under its bake's name. */
const byStep = <T, V>(
  bakes: readonly BakeWished[],
  of: (bake: BakeWished) => Readonly<Record<string, T>> | undefined,
  to: (noted: T) => V,
): Record<string, V> =>
  Object.fromEntries(
    bakes.flatMap((bake) =>
      Object.entries(of(bake) ?? {}).map(([step, noted]) => [`${bake.id}:${step}`, to(noted)]),
    ),
  );

function inMinutes({
  now,
  zone,
  bakes: wished,
  week,
  resources = oneKitchen,
  household,
}: PlanQuestion): Minutes {
  const clock = clockFrom(now, zone);
  const minute = (iso: string) => minuteOf(clock, iso);
  const wishOf = ({ readyBy, beginAt, facts = {} }: BakeWished): Wish => ({
    ...(readyBy === undefined ? {} : { readyBy: minute(readyBy) }),
    // Begun, it keeps no beginning any more.
    ...(beginAt === undefined || hasBegun(facts) ? {} : { beginAt: minute(beginAt) }),
  });
  const isLost = (bake: BakeWished) => !hasBegun(bake.facts) && isMissed(wishOf(bake), 0);
  const kept = wished.filter((b) => !isLost(b));
  const bakes = (kept.length > 0 ? kept : wished).map((b) => ({
    ...b,
    wakes: b.wakes ?? wakesOf(b.formula, household.bags, now, b.fed),
  }));
  const facts = byStep(
    bakes,
    (b) => b.facts,
    ({ start, end, notBefore }): Fact => ({
      ...(start === undefined ? {} : { start: minute(start) }),
      ...(end === undefined ? {} : { end: minute(end) }),
      ...(notBefore === undefined ? {} : { notBefore: minute(notBefore) }),
    }),
  );
  const locks = byStep(bakes, (b) => b.locks, minute);
  const closed = closedIn(clock, week);
  return {
    clock,
    bakes,
    begun: new Set(bakes.filter((b) => hasBegun(b.facts)).map((b) => b.id)),
    closed,
    asked: (breads, of) => ({
      now: 0,
      breads: bakes.map((bake, i) => ({
        bread: breads[i]!,
        wish: wishOf(bake),
        ...(of[i] ? { ways: of[i] } : {}),
      })),
      closed,
      resources,
      facts,
      locks,
    }),
  };
}

/** A plan with the breads that it is made of. */
interface FittedPlan extends AsNeeded {
  readonly asWritten: readonly Bread[];
  readonly made: readonly Fitted[];
}

/** Leaven that is made fit for the first rise moves the last as well: it is planned again with that in it. */
function fittedPlan(
  { bakes, begun, asked }: Minutes,
  household: Household,
  belief: Belief,
): FittedPlan {
  const asWritten = bakes.map((b) => breadOf(b, household, belief));
  const wishedWays = bakes.map((b) => b.ways);
  /** Breads whose leaven is made fit for their time. */
  const fits = new Set<string>();
  let made: readonly Fitted[] = asWritten.map((bread) => ({ bread }));
  let needed = asNeeded(asked(asWritten, wishedWays), begun);
  for (let round = 0; round < rounds && isPlan(needed.found); round += 1) {
    const { breads: of, steps } = needed.found;
    of.forEach(({ id, rises }) => rises?.first.leaven && fits.add(id));
    if (fits.size === 0) break;
    const fitted = bakes.map((bake, i) =>
      fits.has(bake.id)
        ? withLeaven(bake, asWritten[i]!, of[i]!, steps, household, belief)
        : made[i]!,
    );
    if (round > 0 && fitted.every(({ bread }, i) => isLike(bread, made[i]!.bread))) break;
    const breads = fitted.map((f) => f.bread);
    const fitWays = of.map(({ id, way }, i) => (fits.has(id) && way ? [way] : wishedWays[i]));
    const again = asNeeded(asked(breads, fitWays), begun);
    if (!isPlan(again.found)) break;
    [made, needed] = [fitted, again];
  }
  return { ...needed, asWritten, made };
}

type At = (minutes: number) => string;

function notTimed({ refused, drop }: NoPlan, at: At): NoTimedPlan {
  return {
    steps: null,
    code: refused.code,
    why: refused.says,
    drop: drop.map(({ wish, ready }) => {
      const [of, what] = wish.split(':');
      return {
        ...(what === undefined ? { wish } : { wish: what, bake: of! }),
        ready: Object.fromEntries(Object.entries(ready).map(([id, m]) => [id, at(m)])),
      };
    }),
  };
}

/** A step by the clock, with the curve of what rises in it. */
function timedStep(step: PlannedStep, bread: Bread, planned: PlannedBread, at: At): TimedStep {
  const {
    start,
    end,
    earliest,
    soonest,
    latest,
    until,
    says,
    celsius,
    parts,
    folds,
    turns,
    rounds,
  } = step;
  const timer = timerOf(step, bread);
  const oven = step.uses.some((u) => u.resource === 'oven') ? planned.oven?.name : undefined;
  const curve = stepCurve(bread, planned, step).map(({ hours, ...point }) => ({
    minute: Math.round(hours * 60),
    volume: point.volume,
    celsius: point.celsius,
  }));
  return {
    id: step.id,
    bake: step.bake,
    kind: step.kind,
    label: step.label,
    earliest: at(earliest),
    start: at(start),
    end: at(end),
    soonest: at(soonest),
    latest: at(latest),
    minutes: end - start,
    attended: step.attended,
    uses: step.uses,
    doubt: step.doubt,
    ...(until === undefined ? {} : { until }),
    ...(says === undefined ? {} : { says }),
    ...(celsius === undefined ? {} : { celsius }),
    ...(parts ? { parts } : {}),
    ...(folds ? { folds } : {}),
    ...(turns ? { turns } : {}),
    ...(rounds ? { rounds } : {}),
    ...(oven ? { oven } : {}),
    hands: handsIn(step).map(({ from, to }) => ({ from: at(from), to: at(to) })),
    ...(timer === undefined ? {} : { timer }),
    ...(curve.length === 0 ? {} : { curve }),
  };
}

/** What its machine's timer is set to, where it waits. */
function timerOf({ kind, start, end }: PlannedStep, { course, runs }: Bread): string | undefined {
  if (kind !== 'programme' || !course || runs) return undefined;
  const set = timerFor(course, end - start - usualMinutes.weigh.value);
  return isRefused(set) || set.delay === 0 ? undefined : timerText(set.shows);
}

const notWritten = (bread: Bread, { way }: PlannedBread): Pick<TimedBake, 'notWritten'> => {
  const why = way && notAsWritten(bread, way);
  return why === undefined ? {} : { notWritten: why };
};

/** A plan for a question, by the clock of the house. */
export function timedPlan(question: PlanQuestion): TimedPlan | NoTimedPlan {
  const { zone, bakes: wished, household, belief } = question;
  const minutes = inMinutes(question);
  const { clock, bakes, begun, closed } = minutes;
  const { found, late, calls, waits, asWritten, made } = fittedPlan(minutes, household, belief);
  const at = (of: number) => isoOf(clock, of);
  if (!isPlan(found)) return notTimed(found, at);
  const { breads, steps } = found;
  const indexOf = new Map(bakes.map((b, i) => [b.id, i] as const));
  return {
    zone,
    bakes: breads.map((of, i) => ({
      id: of.id,
      name: of.name,
      ...(of.way ? { way: of.way, label: ways[of.way].label, says: ways[of.way].says } : {}),
      ...notWritten(made[i]!.bread, of),
      ...(of.oven ? { oven: of.oven.id } : {}),
      ...(bakes[i]!.wakes ? { wakes: bakes[i]!.wakes } : {}),
      ...(late && begun.has(of.id) && bakes[i]!.readyBy !== undefined ? { late } : {}),
      ...amountsOf(asWritten[i]!, of, steps, made[i]!),
    })),
    calls,
    ...(waits ? { waits } : {}),
    missed: wished.filter((b) => !indexOf.has(b.id)).map((b) => b.id),
    closed: closed
      .filter((c) => c.to > 0)
      .map(({ from, to, what }) => ({ from: at(from), to: at(to), what })),
    steps: steps.map((step) => {
      const i = indexOf.get(step.bake)!;
      const night = intoNight(step, closed);
      return {
        ...timedStep(step, made[i]!.bread, breads[i]!, at),
        ...(night ? { night } : {}),
      };
    }),
  };
}
