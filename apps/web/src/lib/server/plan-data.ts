import type { Belief, Formula, Household } from '@tender-crumb/core';
import { localZone } from './day.ts';
import type { Database } from './database/open.ts';
import { readFormula } from './store/formulas.ts';
import { readBelief, readHousehold } from './store/household.ts';
import { plansWithBakes, type PlannedWithBake } from './store/plans.ts';
import { listTimers, type Timer } from './store/timers.ts';

/** All that a page plans by. */
export interface PlanData {
  readonly plans: readonly PlannedWithBake[];
  /** By planned bake: as it was begun, else as it stands. */
  readonly formulas: Readonly<Record<string, Formula>>;
  readonly household: Household;
  readonly belief: Belief;
  readonly zone: string;
  readonly timers: readonly Timer[];
}

export async function readPlanData(db: Database): Promise<PlanData> {
  const [plans, household, { belief }, timers] = await Promise.all([
    plansWithBakes(db),
    readHousehold(db),
    readBelief(db),
    listTimers(db),
  ]);
  const formulas = await Promise.all(
    plans.map(async ({ id, formulaId, begun }) => {
      const stored = await readFormula(db, formulaId, begun?.formulaVersion);
      return stored ? ([[id, stored.formula]] as const) : [];
    }),
  );
  return {
    plans,
    formulas: Object.fromEntries(formulas.flat()),
    household,
    belief,
    zone: household.zone ?? localZone(),
    timers,
  };
}
