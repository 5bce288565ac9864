import { deviceFor } from '@tender-crumb/core/process';
import type { Database } from '../database/open.ts';
import { readPlanData } from '../plan-data.ts';
import { currentIso } from '../../clock.ts';
import { askedLoaves } from '../store/asked-loaves.ts';
import { listBakes } from '../store/bakes.ts';
import { listFormulas } from '../store/formulas.ts';
import { madeBefore } from '../store/made-before.ts';

/** So many breads are offered for a plan; of so many it is said at once when they could be ready. */
const mostOffered = 200;
const mostTold = 30;

/** All that Bake day shows. */
export async function dayShown(db: Database) {
  const [{ rows }, plan, formulas, asked] = await Promise.all([
    listBakes(db, { open: true, limit: 30 }),
    readPlanData(db),
    listFormulas(db, { limit: mostOffered }),
    askedLoaves(db, currentIso()),
  ]);
  return {
    bakes: rows,
    asked,
    plan,
    breads: await Promise.all(
      formulas.rows.map(async ({ id, formula }, i) => ({
        id,
        name: formula.name,
        ...(plan.plans.length === 0 && i < mostTold
          ? { formula, device: deviceFor(formula, await madeBefore(db, id), plan.household) }
          : {}),
      })),
    ),
  };
}

export type DayShown = Awaited<ReturnType<typeof dayShown>>;
