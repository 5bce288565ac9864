import {
  amountsFor,
  breadOf,
  isPlan,
  oneKitchen,
  plan,
  ways,
  type Belief,
  type BreadAmounts,
  type DeviceId,
  type Fact,
  type Formula,
  type Household,
  type PlannedStep,
  type Resources,
  type Week,
  type WayId,
} from '@tender-crumb/core';
import { clockFrom, closedIn, isoOf, minuteOf } from './clock.ts';

/** A bake with what is wished of it, and what became of it so far. Moments are ISO texts. */
export interface BakeWished {
  readonly id: string;
  readonly formula: Formula;
  readonly device?: DeviceId;
  readonly room?: number;
  readonly dough?: number;
  readonly ripe?: boolean;
  readonly readyBy?: string;
  readonly beginAt?: string;
  readonly ways?: readonly WayId[];
  /** By step, without the bake's id. */
  readonly facts?: Readonly<Record<string, { readonly start?: string; readonly end?: string }>>;
  readonly locks?: Readonly<Record<string, string>>;
}

/** All that a plan is worked out of: plain data, that goes to another thread. */
export interface Question {
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
  readonly latest: string;
  readonly minutes: number;
}

/** A bake as it was planned: how it rises, and what that asks of its amounts. */
export interface TimedBake extends BreadAmounts {
  readonly id: string;
  readonly name: string;
  readonly way?: WayId;
  readonly says?: string;
}

export interface TimedPlan {
  readonly zone: string;
  readonly bakes: readonly TimedBake[];
  readonly steps: readonly TimedStep[];
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

/** A plan for a question, by the clock of the house. */
export function planned({
  now,
  zone,
  bakes,
  week,
  resources = oneKitchen,
  household,
  belief,
}: Question): TimedPlan | NoTimedPlan {
  const clock = clockFrom(now, zone);
  const minute = (iso: string) => minuteOf(clock, iso);
  const breads = bakes.map((b) => breadOf(b, household, belief));
  const facts = Object.fromEntries(
    bakes.flatMap(({ id, facts = {} }) =>
      Object.entries(facts).map(([step, { start, end }]): [string, Fact] => [
        `${id}:${step}`,
        {
          ...(start === undefined ? {} : { start: minute(start) }),
          ...(end === undefined ? {} : { end: minute(end) }),
        },
      ]),
    ),
  );
  const locks = Object.fromEntries(
    bakes.flatMap(({ id, locks = {} }) =>
      Object.entries(locks).map(([step, at]) => [`${id}:${step}`, minute(at)] as const),
    ),
  );
  const found = plan({
    now: 0,
    breads: bakes.map(({ readyBy, beginAt, ways: allowed }, i) => ({
      bread: breads[i]!,
      wish: {
        ...(readyBy === undefined ? {} : { readyBy: minute(readyBy) }),
        ...(beginAt === undefined ? {} : { beginAt: minute(beginAt) }),
      },
      ...(allowed ? { ways: allowed } : {}),
    })),
    closed: closedIn(clock, week),
    resources,
    facts,
    locks,
  });
  const at = (minutes: number) => isoOf(clock, minutes);
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
  return {
    zone,
    bakes: found.breads.map((of, i) => ({
      id: of.id,
      name: of.name,
      ...(of.way ? { way: of.way, says: ways[of.way].says } : {}),
      ...amountsFor(breads[i]!, of, found.steps),
    })),
    steps: found.steps.map(({ start, end, earliest, latest, ...step }) => ({
      id: step.id,
      bake: step.bake,
      kind: step.kind,
      label: step.label,
      earliest: at(earliest),
      start: at(start),
      end: at(end),
      latest: at(latest),
      minutes: end - start,
      attended: step.attended,
      uses: step.uses,
      doubt: step.doubt,
      ...(step.until === undefined ? {} : { until: step.until }),
      ...(step.says === undefined ? {} : { says: step.says }),
      ...(step.celsius === undefined ? {} : { celsius: step.celsius }),
    })),
  };
}
