import { amongBreads } from '@tender-crumb/core/learn';
import { deviceFor } from '@tender-crumb/core/process';
import type { PlanGiven } from '@tender-crumb/core/view';
import { localZone } from './day.ts';
import type { Database } from './database/open.ts';
import { trialTurn } from './trial.ts';
import { readFormula } from './store/formulas.ts';
import { madeBefore } from './store/made-before.ts';
import { knownBelief } from './store/known-belief.ts';
import { readHousehold } from './store/household.ts';
import { plansWithBakes } from './store/plans.ts';
import { listTimers, type Timer } from './store/timers.ts';

/** All that a page plans by. */
export interface PlanData extends PlanGiven {
  /** By planned bake: the version that its formula is of. */
  readonly versions: Readonly<Record<string, number>>;
  readonly timers: readonly Timer[];
  /** By planned bake: what is tried in it, where something is. */
  readonly trials?: Readonly<Record<string, string>>;
}

/** @param own a bake that is looked at: its times are among those that are planned */
export async function readPlanData(db: Database, own?: string): Promise<PlanData> {
  const [plans, household, { belief }, timers] = await Promise.all([
    plansWithBakes(db, own),
    readHousehold(db),
    knownBelief(db),
    listTimers(db),
  ]);
  const found = await Promise.all(
    plans.map(async ({ id, formulaId, begun }) => {
      const stored = await readFormula(db, formulaId, begun?.formulaVersion);
      if (!stored) return [];
      const made = await madeBefore(db, formulaId);
      const { formula, version } = stored;
      return [{ id, formula, version, device: deviceFor(formula, made, household) }];
    }),
  );
  const trials = await Promise.all(
    found.flat().map(async ({ id, formula }) => {
      const bread = plans.find((p) => p.id === id)!.formulaId;
      const turn = await trialTurn(db, bread, formula, household);
      return turn ? [[id, turn.says] as const] : [];
    }),
  );
  return {
    plans,
    trials: Object.fromEntries(trials.flat()),
    formulas: Object.fromEntries(found.flat().map((f) => [f.id, f.formula])),
    versions: Object.fromEntries(found.flat().map((f) => [f.id, f.version])),
    devices: Object.fromEntries(found.flat().map((f) => [f.id, f.device])),
    household,
    // Of other breads no plan asks.
    belief: amongBreads(
      belief,
      plans.map((p) => p.formulaId),
    ),
    zone: household.zone ?? localZone(),
    timers,
  };
}
