import { householdUnderWay, type Circumstances } from '../bake/circumstances.ts';
import type { BakeEvent } from '../bake/event.ts';
import { planFacts, putOff } from '../lead/plan-facts.ts';
import { followedIn, type SentenceLed } from '../lead/followed.ts';
import { runOf } from '../lead/run-of.ts';
import { methodOf } from '../process/written-steps.ts';
import type { Formula } from '../formula/formula.ts';
import type { Belief } from '../belief/belief.ts';
import type { Household } from '../household/household.ts';
import type { DeviceId } from '../machine/device.ts';
import type { FactsNoted, PlannedBake } from '../schedule/planned-bake.ts';
import { resourcesOf } from '../schedule/resources.ts';
import {
  isTimed,
  timedPlan,
  type BakeWished,
  type NoTimedPlan,
  type PlanQuestion,
  type TimedPlan,
} from '../schedule/timed-plan.ts';

/** A planned bake with the bake that was begun of it. */
export interface PlannedWithBake extends PlannedBake {
  readonly begun?: {
    readonly startedAt: string;
    readonly formulaVersion?: number;
    readonly method: DeviceId;
    readonly events: readonly BakeEvent[];
    /** In which it was begun; the kitchen as it is, where nobody kept them. */
    readonly circumstances?: Circumstances;
  };
}

/** All that a household's plan is worked out of: plain data, that goes to another thread. */
export interface PlanGiven {
  readonly plans: readonly PlannedWithBake[];
  /** By planned bake: as it was begun, else as it stands. */
  readonly formulas: Readonly<Record<string, Formula>>;
  /** By planned bake: in what it is made where the plan does not say. */
  readonly devices: Readonly<Record<string, DeviceId>>;
  readonly household: Household;
  readonly belief: Belief;
  /** IANA name. */
  readonly zone: string;
}

/** What a page shows of a plan: when everything is done, and what is done of it by now. */
export interface PlanView {
  readonly answer: TimedPlan | NoTimedPlan;
  /** By bake. */
  readonly facts: Readonly<Record<string, FactsNoted>>;
  /** The sentences of its recipe beside it, by bake: followed, changed and why, or not used. */
  readonly recipes: Readonly<Record<string, readonly SentenceLed[]>>;
}

/** The recipe of each bake beside the steps that were planned for it. */
function recipesIn({ bakes }: PlanQuestion, answer: TimedPlan | NoTimedPlan): PlanView['recipes'] {
  if (!isTimed(answer)) return {};
  return Object.fromEntries(
    bakes.flatMap(({ id, formula }) => {
      const tasks = answer.steps
        .filter((s) => s.bake === id)
        .map(({ kind, minutes, uses }) => ({ kind, usual: minutes, uses }));
      return formula.steps ? [[id, followedIn(methodOf(formula), tasks)] as const] : [];
    }),
  );
}

/** What a bake that was begun says of its plan: how it goes, what was done, what was put off. */
function noted(
  { id, begun }: PlannedWithBake,
  { formulas, belief, ...given }: PlanGiven,
): Partial<BakeWished> {
  const formula = formulas[id];
  if (!begun || !formula) return {};
  const { method, events, circumstances } = begun;
  const household = circumstances
    ? householdUnderWay(given.household, circumstances)
    : given.household;
  const run = runOf({ id, formula, device: method, events, household, belief });
  const { lines, shaping, room, dough, course, seen } = run.bread;
  return {
    formula: run.formula,
    wakes: run.bread.wakes ?? 0,
    device: run.bread.device,
    lines,
    shaping,
    room,
    dough,
    ...(course ? { course } : {}),
    ...(run.steps.some((s) => s.runs && s.begunAt) ? { runs: true as const } : {}),
    ...(seen ? { seen } : {}),
    ...(run.state.oven ? { oven: run.state.oven } : {}),
    facts: planFacts(run.steps, run.state),
    locks: putOff(run.steps, run.state),
    ...(run.way ? { ways: [run.way] } : {}),
  };
}

/** A planned bake with what was noted of it so far, on the plan and in the bake that was begun of it. */
function wished(plan: PlannedWithBake, given: PlanGiven): BakeWished[] {
  const { id, roomC, doughC, ripe, readyBy, beginAt, ways, shaping, fed, locks, facts } = plan;
  const formula = given.formulas[id];
  if (!formula) return [];
  const device = plan.device ?? given.devices[id];
  const own = noted(plan, given);
  const all = { ...facts, ...own.facts };
  return [
    {
      id,
      formula,
      ...(device === undefined ? {} : { device }),
      ...(roomC === undefined ? {} : { room: roomC }),
      ...(doughC === undefined ? {} : { dough: doughC }),
      ...(readyBy === undefined ? {} : { readyBy }),
      ...(beginAt === undefined ? {} : { beginAt }),
      ...(ways === undefined ? {} : { ways }),
      ...(shaping === undefined ? {} : { shaping }),
      ...(fed === undefined ? {} : { fed }),
      ...own,
      locks: { ...locks, ...own.locks },
      // What is mixed ahead is in the dough by then.
      ...(ripe || (!plan.begun && all['mix']?.start) ? { ripe: true } : {}),
      facts: all,
    },
  ];
}

/**
 * The question that a household's plan answers at a moment.
 *
 * @param now ISO moment
 */
export const planQuestion = (given: PlanGiven, now: string): PlanQuestion => ({
  now,
  zone: given.zone,
  bakes: given.plans.flatMap((plan) => wished(plan, given)),
  week: given.household.week,
  resources: resourcesOf(given.household),
  household: given.household,
  belief: given.belief,
});

/**
 * All that a page shows of a household's plan at a moment. It takes long enough for a thread beside the page.
 *
 * @param now ISO moment
 * @example planOf({plans: [], formulas: {}, devices: {}, household, belief, zone: 'UTC'}, now).facts // {}
 */
export function planOf(given: PlanGiven, now: string): PlanView {
  const question = planQuestion(given, now);
  const answer = timedPlan(question);
  return {
    answer,
    recipes: recipesIn(question, answer),
    facts: Object.fromEntries(question.bakes.map((b) => [b.id, b.facts ?? {}])),
  };
}
