import { bakeState, planFacts, resourcesOf } from '@tender-crumb/core';
import type { PlanData } from '../server/plan-data.ts';
import type { PlannedWithBake } from '../server/store/plans.ts';
import type { BakeWished, Question } from './planned.ts';

/** A planned bake with what was noted of it so far, on the plan and in the bake that was begun of it. */
function wished(plan: PlannedWithBake, data: PlanData): BakeWished[] {
  const { id, device, roomC, doughC, ripe, readyBy, beginAt, ways, locks, facts, begun } = plan;
  const formula = data.formulas[id];
  if (!formula) return [];
  const noted = begun ? planFacts(begun.startedAt, bakeState(begun.events)) : {};
  const all = { ...facts, ...noted };
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
      ...(locks === undefined ? {} : { locks }),
      // What is mixed ahead is in the dough by then.
      ...(ripe || all['mix']?.start ? { ripe: true } : {}),
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
