import { mostBreads, type PlannedBake, type PlannedBody } from '@tender-crumb/core/schedule';
import type { PlannedWithBake } from '@tender-crumb/core/view';
import { changedOrMade, type Change, type Clash } from '../../wire/merge.ts';
import { inTransaction, type Database } from '../database/open.ts';
import { readBake } from './bakes.ts';
import { underWay } from './under-way.ts';
import { currentIso, currentTime } from '../../clock.ts';

const ofRow = (row: {
  id: string;
  formula_id: string;
  bake_id: string | null;
  version: number;
  body: string;
}): PlannedBake => ({
  ...(JSON.parse(row.body) as PlannedBody),
  id: row.id,
  formulaId: row.formula_id,
  version: row.version,
  ...(row.bake_id === null ? {} : { bakeId: row.bake_id }),
});

/** What is planned, in the order in which it was. What was begun and is over is planned no more. */
export async function listPlans(db: Database): Promise<PlannedBake[]> {
  const rows = await db
    .selectFrom('planned_bake as p')
    .leftJoin('bake as b', 'b.id', 'p.bake_id')
    .innerJoin('formula as f', 'f.id', 'p.formula_id')
    .select(['p.id', 'p.formula_id', 'p.bake_id', 'p.version', 'p.body'])
    .where('b.finished_at', 'is', null)
    .where('b.given_up_at', 'is', null)
    .where('f.off_shelf_at', 'is', null)
    .orderBy('p.made_at')
    .orderBy('p.id')
    .execute();
  return rows.map(ofRow);
}

/** Whether there is anything to look out for: a planned bake, one under way, or a timer. */
export async function isWatched(db: Database): Promise<boolean> {
  const plan = await db.selectFrom('planned_bake').select('id').limit(1).executeTakeFirst();
  if (plan && (await listPlans(db)).length > 0) return true;
  if ((await db.selectFrom('timer').select('id').limit(1).executeTakeFirst()) !== undefined)
    return true;
  return (await underWay(db, currentTime())).length > 0;
}

/**
 * What is planned with what was noted of the bakes that have begun. A bake that was begun without a plan stands
 * among them, under its own id.
 *
 * @param own a bake whose times are wanted: it is among them, however many are planned and left open
 */
export async function plansWithBakes(db: Database, own?: string): Promise<PlannedWithBake[]> {
  const plans = await listPlans(db);
  const planned = await Promise.all(
    plans.map(async (plan): Promise<PlannedWithBake> => {
      const bake = plan.bakeId === undefined ? undefined : await readBake(db, plan.bakeId);
      return bake ? { ...plan, begun: begunOf(bake) } : plan;
    }),
  );
  const known = new Set(plans.map((p) => p.bakeId));
  const begun = (await underWay(db, currentTime(), own)).filter((b) => !known.has(b.id));
  const left = Math.max(0, mostBreads - plans.length);
  const places = own !== undefined && begun[0]?.id === own ? Math.max(1, left) : left;
  const others = begun.slice(0, places).map((bake): PlannedWithBake => ({
    id: bake.id,
    formulaId: bake.formulaId!,
    version: 0,
    bakeId: bake.id,
    begun: begunOf(bake),
  }));
  // It stands in the place of what was planned last.
  return [...others, ...(others.length > left ? planned.slice(0, mostBreads - 1) : planned)];
}

type Begun = NonNullable<PlannedWithBake['begun']>;
const begunOf = ({ startedAt, events, method, formulaVersion, circumstances }: Begun): Begun => ({
  startedAt,
  events,
  method,
  ...(circumstances ? { circumstances } : {}),
  ...(formulaVersion === undefined ? {} : { formulaVersion }),
});

const plannedRow = (tx: Database, id: string) =>
  tx.selectFrom('planned_bake').selectAll().where('id', '=', id).executeTakeFirst();

/** What became of a change to a planned bake. */
export type PlanSaved =
  | { readonly outcome: 'saved'; readonly plan: PlannedBake }
  | { readonly outcome: 'stale'; readonly current: PlannedBake }
  | { readonly outcome: 'no-formula' | 'no-bake' };

/**
 * Plans a bake, or changes one that is planned.
 *
 * @param version that it was changed from; 0 for a new one. The same new one sent twice is one.
 */
export async function savePlan(
  db: Database,
  { id, formulaId, bakeId, version, ...body }: PlannedBake,
): Promise<PlanSaved> {
  return inTransaction(db, async (tx) => {
    const known = await plannedRow(tx, id);
    const text = JSON.stringify(body);
    if (known && known.version !== version) {
      const again =
        version === known.version - 1 && known.body === text && known.bake_id === (bakeId ?? null);
      const current = ofRow(known);
      return again ? { outcome: 'saved', plan: current } : { outcome: 'stale', current };
    }
    const formula = await tx
      .selectFrom('formula')
      .select('id')
      .where('id', '=', formulaId)
      .executeTakeFirst();
    if (!formula) return { outcome: 'no-formula' };
    if (bakeId !== undefined) {
      const bake = await tx
        .selectFrom('bake')
        .select('id')
        .where('id', '=', bakeId)
        .executeTakeFirst();
      if (!bake) return { outcome: 'no-bake' };
    }
    const row = {
      formula_id: formulaId,
      bake_id: bakeId ?? null,
      version: (known?.version ?? 0) + 1,
      body: text,
    };
    if (known) await tx.updateTable('planned_bake').set(row).where('id', '=', id).execute();
    else {
      await tx
        .insertInto('planned_bake')
        .values({ id, ...row, made_at: currentIso() })
        .execute();
    }
    return { outcome: 'saved', plan: ofRow({ id, ...row }) };
  });
}

/**
 * Makes a change to a planned bake, field by field, on what stands there by now; one that is not there is made of it, and
 * what was planned once under an id is not planned again.
 *
 * @param checked what a plan must be, said where it is not
 * @returns undefined where there is none to change, as after it was dropped
 */
export async function changePlan(
  db: Database,
  id: string,
  change: Change,
  checked: (plan: object) => Omit<PlannedBake, 'id'>,
): Promise<
  | { readonly outcome: 'saved'; readonly plan: PlannedBake; readonly clashes: readonly Clash[] }
  | { readonly outcome: 'no-formula' | 'no-bake' }
  | undefined
> {
  return inTransaction(db, async (tx) => {
    const row = await plannedRow(tx, id);
    const { id: same, version = 0, ...theirs } = row ? ofRow(row) : { id };
    void same;
    const changed = changedOrMade(row && theirs, change, 'formulaId');
    if (!changed) return undefined;
    const { value, clashes } = changed;
    const saved = await savePlan(tx, { ...checked({ ...value, version }), id });
    if (saved.outcome === 'stale') throw new Error('a plan changed within a transaction');
    return saved.outcome === 'saved' ? { ...saved, clashes } : saved;
  });
}

/** Plans it no more; what was begun of it goes on. Twice is once. */
export const dropPlan = (db: Database, id: string): Promise<void> =>
  inTransaction(db, async (tx) => {
    await tx.deleteFrom('planned_bake').where('id', '=', id).execute();
  });
