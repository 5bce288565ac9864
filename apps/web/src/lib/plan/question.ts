import { planFacts, putOff, runOf } from '@tender-crumb/core/bake';
import type { Household } from '@tender-crumb/core/household';
import { resourcesOf } from '@tender-crumb/core/schedule';
import type { PlanData } from '../server/plan-data.ts';
import type { PlannedWithBake } from '../server/store/plans.ts';
import type { BakeWished, Question } from './planned.ts';

/** What a bake that was begun says of its plan: how it goes, what was done, what was put off. */
function noted(
  { id, begun }: PlannedWithBake,
  { formulas, belief }: PlanData,
  household: Household,
): Partial<BakeWished> {
  const formula = formulas[id];
  if (!begun || !formula) return {};
  const { method, events } = begun;
  const run = runOf({ id, formula, device: method, events, household, belief });
  const { course, room, dough } = run.bread;
  return {
    formula: run.formula,
    device: method,
    room,
    dough,
    facts: planFacts(run.steps, run.state),
    locks: putOff(run.steps, run.state),
    ...(run.way ? { ways: [run.way] } : {}),
    ...(course ? { course } : {}),
  };
}

/** A planned bake with what was noted of it so far, on the plan and in the bake that was begun of it. */
function wished(plan: PlannedWithBake, data: PlanData): BakeWished[] {
  const { id, roomC, doughC, ripe, readyBy, beginAt, ways, locks, facts } = plan;
  const formula = data.formulas[id];
  if (!formula) return [];
  const device = plan.device ?? data.devices[id];
  const own = noted(plan, data, data.household);
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
      ...own,
      locks: { ...locks, ...own.locks },
      // What is mixed ahead is in the dough by then.
      ...(ripe || (!plan.begun && all['mix']?.start) ? { ripe: true } : {}),
      facts: all,
    },
  ];
}

/** The question that a page's plan answers, at a moment. */
export const questionOf = (data: PlanData, now: Date): Question => ({
  now: now.toISOString(),
  zone: data.zone,
  bakes: data.plans.flatMap((plan) => wished(plan, data)),
  week: data.household.week,
  resources: resourcesOf(data.household),
  household: data.household,
  belief: data.belief,
});
