import { forBread } from '@tender-crumb/core/learn';
import type { Database } from '../database/open.ts';
import { readPlanData } from '../plan-data.ts';
import { trialTurn } from '../trial.ts';
import { notesBefore, readBake } from '../store/bakes.ts';
import { readFormula } from '../store/formulas.ts';
import { knownBelief } from '../store/known-belief.ts';
import { readHousehold } from '../store/household.ts';

/**
 * All that the page of a bake shows.
 *
 * @returns undefined where there is no such bake
 */
export async function bakeShown(db: Database, id: string) {
  const bake = await readBake(db, id);
  if (!bake) return undefined;
  const version =
    bake.formulaId === undefined
      ? undefined
      : await readFormula(db, bake.formulaId, bake.formulaVersion);
  const [household, { belief }, plan, lastNotes] = await Promise.all([
    readHousehold(db),
    knownBelief(db),
    readPlanData(db, id),
    notesBefore(db, bake),
  ]);
  // A trial goes by the bread as it stands now: it may have been asked since.
  const now =
    bake.formulaId === undefined || bake.finishedAt
      ? undefined
      : await readFormula(db, bake.formulaId);
  const turn = now && (await trialTurn(db, now.id, now.formula, household));
  return {
    bake,
    ...(turn ? { trial: turn.says } : {}),
    ...(version ? { formula: version.formula } : {}),
    household,
    belief: forBread(belief, bake.formulaId),
    plan,
    lastNotes,
  };
}

export type BakeShown = NonNullable<Awaited<ReturnType<typeof bakeShown>>>;
