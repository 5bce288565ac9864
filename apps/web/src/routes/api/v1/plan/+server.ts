import { completeFormula } from '@tender-crumb/core/exchange';
import {
  resourcesOf,
  type BakeWished,
  type NoTimedPlan,
  type PlanQuestion,
  type TimedPlan,
} from '@tender-crumb/core/schedule';
import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { knownHere, sensibleFormula } from '$lib/server/boundary/known.ts';
import { planBody } from '$lib/server/boundary/plan-schema.ts';
import { formulaIn } from '$lib/server/boundary/schemas.ts';
import { askJob } from '$lib/server/jobs/job.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { readFormula } from '$lib/server/store/formulas.ts';
import { knownBelief } from '$lib/server/store/known-belief.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import { localZone } from '$lib/server/day.ts';
import { currentIso } from '$lib/clock.ts';

/** Plans bakes: for formulas that are sent, or that stand here, in this household. */
export const POST = route(async ({ request }) => {
  const { bakes, ...asked } = check(planBody, await readJson(request), 'body');
  const db = await kitchen();
  const [household, { belief }] = await Promise.all([readHousehold(db), knownBelief(db)]);
  const wished = await Promise.all(
    bakes.map(async (bake, i): Promise<BakeWished> => {
      const { id = `b${i + 1}`, formula, formulaId, roomC, doughC, ...wish } = bake;
      const where = `body.bakes[${i}]`;
      const stored = formulaId === undefined ? undefined : await readFormula(db, formulaId);
      if (formulaId !== undefined && !stored) {
        throw new Problem(422, 'No such formula', [
          { where: `${where}.formulaId`, what: `no formula “${formulaId}”` },
        ]);
      }
      const given =
        stored?.formula ??
        completeFormula(
          sensibleFormula(formulaIn(formula, `${where}.formula`), `${where}.formula`),
          undefined,
        );
      return {
        id,
        formula: knownHere(given, household, `${where}.formula`),
        ...wish,
        ...(roomC === undefined ? {} : { room: roomC }),
        ...(doughC === undefined ? {} : { dough: doughC }),
      };
    }),
  );
  const { now, zone, asleep, away, power, resources } = asked;
  const week = household.week;
  const question: PlanQuestion = {
    now: now ?? currentIso(),
    zone: zone ?? household.zone ?? localZone(),
    bakes: wished,
    week: {
      asleep: asleep ?? week.asleep,
      away: away ?? week.away,
      power: power ?? week.power,
    },
    resources: resourcesOf(household, resources),
    household,
    belief,
  };
  return json(await askJob<TimedPlan | NoTimedPlan>('plan', question));
});
