import { takeCorrection } from '../formula/take-correction.ts';
import type { Belief } from '../belief/belief.ts';
import type { Household } from '../household/household.ts';
import type { Week } from '../household/week.ts';
import type { LeavenChange } from '../ferment/leaven-change.ts';
import { amountsFor, keptBack, type BreadAmounts } from './amounts.ts';
import { breadOf, type Bread, type BreadSaid } from './bread.ts';
import { clockFrom, closedIn, isoOf, minuteOf } from './clock.ts';
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
import type { FactsNoted } from './planned-bake.ts';
import { stepCurve } from './step-curve.ts';
import { oneKitchen, type Closed, type Fact, type Resources, type Wish } from './task.ts';
import type { WayId } from './way-id.ts';
import { ways } from './ways.ts';

/** A bread with what is wished of it, and what became of it so far. Moments are ISO texts. */
export interface BakeWished extends BreadSaid {
  readonly readyBy?: string;
  readonly beginAt?: string;
  readonly ways?: readonly WayId[];
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
  'id' | 'bake' | 'kind' | 'label' | 'attended' | 'until' | 'says' | 'celsius' | 'uses' | 'doubt'
> {
  readonly earliest: string;
  readonly start: string;
  readonly end: string;
  readonly soonest: string;
  readonly latest: string;
  readonly minutes: number;
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
  return isPlan(third.found) ? third : first;
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

/** A plan for a question, by the clock of the house. */
export function timedPlan({
  now,
  zone,
  bakes: wished,
  week,
  resources = oneKitchen,
  household,
  belief,
}: PlanQuestion): TimedPlan | NoTimedPlan {
  const clock = clockFrom(now, zone);
  const minute = (iso: string) => minuteOf(clock, iso);
  const wishOf = ({ readyBy, beginAt, facts = {} }: BakeWished): Wish => ({
    ...(readyBy === undefined ? {} : { readyBy: minute(readyBy) }),
    // Begun, it keeps no beginning any more.
    ...(beginAt === undefined || hasBegun(facts) ? {} : { beginAt: minute(beginAt) }),
  });
  const isLost = (bake: BakeWished) => !hasBegun(bake.facts) && isMissed(wishOf(bake), 0);
  // What nobody began in time does not stand in the way of the rest.
  const kept = wished.filter((b) => !isLost(b));
  const bakes = kept.length > 0 ? kept : wished;
  const asWritten = bakes.map((b) => breadOf(b, household, belief));
  const facts = Object.fromEntries(
    bakes.flatMap(({ id, facts = {} }) =>
      Object.entries(facts).map(([step, { start, end, notBefore }]): [string, Fact] => [
        `${id}:${step}`,
        {
          ...(start === undefined ? {} : { start: minute(start) }),
          ...(end === undefined ? {} : { end: minute(end) }),
          ...(notBefore === undefined ? {} : { notBefore: minute(notBefore) }),
        },
      ]),
    ),
  );
  const locks = Object.fromEntries(
    bakes.flatMap(({ id, locks = {} }) =>
      Object.entries(locks).map(([step, at]) => [`${id}:${step}`, minute(at)] as const),
    ),
  );
  const closed = closedIn(clock, week);
  const asked = (breads: readonly Bread[], ways: ReadonlyArray<readonly WayId[] | undefined>) => ({
    now: 0,
    breads: bakes.map((bake, i) => ({
      bread: breads[i]!,
      wish: wishOf(bake),
      ...(ways[i] ? { ways: ways[i] } : {}),
    })),
    closed,
    resources,
    facts,
    locks,
  });
  const begun = new Set(bakes.filter((b) => hasBegun(b.facts)).map((b) => b.id));
  const wishedWays = bakes.map((b) => b.ways);
  /** Breads whose leaven is made fit for their time. */
  const fits = new Set<string>();
  let made: readonly Fitted[] = asWritten.map((bread) => ({ bread }));
  let { found, late, calls } = asNeeded(asked(asWritten, wishedWays), begun);
  // Leaven that is made fit for the first rise moves the last as well: it is planned again with that in it.
  for (let round = 0; round < rounds && isPlan(found); round += 1) {
    const { breads: of, steps } = found;
    of.forEach(({ id, rises }) => rises?.first.leaven && fits.add(id));
    if (fits.size === 0) break;
    const fitted = bakes.map((bake, i) =>
      fits.has(bake.id)
        ? withLeaven(bake, asWritten[i]!, of[i]!, steps, household, belief)
        : made[i]!,
    );
    if (round > 0 && fitted.every(({ bread }, i) => isLike(bread, made[i]!.bread))) break;
    const again = asNeeded(
      asked(
        fitted.map((f) => f.bread),
        of.map(({ id, way }, i) => (fits.has(id) && way ? [way] : wishedWays[i])),
      ),
      begun,
    );
    if (!isPlan(again.found)) break;
    made = fitted;
    ({ found, late, calls } = again);
  }
  const breads = made.map((m) => m.bread);
  const at = (minutes: number) => isoOf(clock, minutes);
  const curveOf = (step: PlannedStep) => {
    const i = bakes.findIndex((b) => b.id === step.bake);
    const curve = isPlan(found) ? stepCurve(breads[i]!, found.breads[i]!, step) : [];
    return curve.length === 0
      ? {}
      : {
          curve: curve.map(({ hours, volume, celsius }) => ({
            minute: Math.round(hours * 60),
            volume,
            celsius,
          })),
        };
  };
  if (!isPlan(found)) {
    return {
      steps: null,
      code: found.refused.code,
      why: found.refused.says,
      drop: found.drop.map(({ wish, ready }) => {
        const [of, what] = wish.split(':');
        return {
          ...(what === undefined ? { wish } : { wish: what, bake: of! }),
          ready: Object.fromEntries(Object.entries(ready).map(([id, m]) => [id, at(m)])),
        };
      }),
    };
  }
  const plannedSteps = found.steps;
  return {
    zone,
    bakes: found.breads.map((of, i) => ({
      id: of.id,
      name: of.name,
      ...(of.way ? { way: of.way, label: ways[of.way].label, says: ways[of.way].says } : {}),
      ...(late && begun.has(of.id) && bakes[i]!.readyBy !== undefined ? { late } : {}),
      ...amountsOf(asWritten[i]!, of, plannedSteps, made[i]!),
    })),
    calls,
    missed: wished.filter((b) => !bakes.includes(b)).map((b) => b.id),
    closed: closed
      .filter((c) => c.to > 0)
      .map(({ from, to, what }) => ({ from: at(from), to: at(to), what })),
    steps: found.steps.map(({ start, end, earliest, soonest, latest, ...step }) => ({
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
      ...(step.until === undefined ? {} : { until: step.until }),
      ...(step.says === undefined ? {} : { says: step.says }),
      ...(step.celsius === undefined ? {} : { celsius: step.celsius }),
      ...curveOf({ start, end, earliest, soonest, latest, ...step }),
    })),
  };
}
