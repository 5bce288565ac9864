import {
  bakeState,
  learnFromBake,
  nothingLearned,
  type BakeEvent,
  type Belief,
  type Household,
  type Lesson,
  type LoadingMethod,
  type Outcome,
} from '@tender-crumb/core';
import { inTransaction, type Database } from '../database/open.ts';
import { readFormula, type Page } from './formulas.ts';
import { readBelief, readHousehold, saveBelief } from './household.ts';

export interface StoredBake {
  readonly id: string;
  readonly formulaId: string;
  readonly formulaVersion: number;
  readonly formulaName: string;
  readonly style: string;
  readonly method: LoadingMethod;
  readonly startedAt: string;
  readonly finishedAt?: string;
  readonly outcome?: Outcome;
  readonly lesson?: Lesson;
}

export interface BakeWithEvents extends StoredBake {
  readonly events: BakeEvent[];
}

export interface NewBake {
  readonly id?: string;
  readonly formulaId: string;
  readonly formulaVersion: number;
  readonly method: LoadingMethod;
  readonly startedAt?: string;
}

/** Begins a bake of a version of a formula. Beginning the same bake twice is once. */
export async function startBake(db: Database, bake: NewBake): Promise<'missing' | { id: string }> {
  if (!(await readFormula(db, bake.formulaId, bake.formulaVersion))) return 'missing';
  const id = bake.id ?? crypto.randomUUID();
  await db
    .insertInto('bake')
    .values({
      id,
      formula_id: bake.formulaId,
      formula_version: bake.formulaVersion,
      method: bake.method,
      started_at: bake.startedAt ?? new Date().toISOString(),
      finished_at: null,
      felt: null,
      outcome: null,
      lesson: null,
    })
    .onConflict((c) => c.column('id').doNothing())
    .execute();
  return { id };
}

const selectBakes = (db: Database) =>
  db
    .selectFrom('bake as b')
    .innerJoin('formula as f', 'f.id', 'b.formula_id')
    .select([
      'b.id',
      'b.formula_id',
      'b.formula_version',
      'b.method',
      'b.started_at',
      'b.finished_at',
      'b.outcome',
      'b.lesson',
      'f.name',
      'f.style',
    ]);

type Row = Awaited<ReturnType<ReturnType<typeof selectBakes>['execute']>>[number];

const stored = (row: Row): StoredBake => ({
  id: row.id,
  formulaId: row.formula_id,
  formulaVersion: row.formula_version,
  formulaName: row.name,
  style: row.style,
  method: row.method as LoadingMethod,
  startedAt: row.started_at,
  ...(row.finished_at ? { finishedAt: row.finished_at } : {}),
  ...(row.outcome ? { outcome: JSON.parse(row.outcome) as Outcome } : {}),
  ...(row.lesson ? { lesson: JSON.parse(row.lesson) as Lesson } : {}),
});

/** Bakes, newest first. */
export async function listBakes(
  db: Database,
  { limit = 50, offset = 0, formula = '', open = false } = {},
): Promise<Page<StoredBake>> {
  const rows = await selectBakes(db)
    .$if(formula !== '', (q) => q.where('b.formula_id', '=', formula))
    .$if(open, (q) => q.where('b.finished_at', 'is', null))
    .orderBy('b.started_at', 'desc')
    .orderBy('b.id', 'desc')
    .limit(limit)
    .offset(offset)
    .execute();
  const { total } = await db
    .selectFrom('bake')
    .select((e) => e.fn.countAll<number>().as('total'))
    .$if(formula !== '', (q) => q.where('formula_id', '=', formula))
    .$if(open, (q) => q.where('finished_at', 'is', null))
    .executeTakeFirstOrThrow();
  return { rows: rows.map(stored), total };
}

const eventsOf = async (
  db: Database,
  ids: readonly string[],
): Promise<Map<string, BakeEvent[]>> => {
  const rows = await db
    .selectFrom('bake_event')
    .select(['id', 'bake_id', 'at', 'kind', 'data'])
    .where('bake_id', 'in', ids)
    .orderBy('seq')
    .execute();
  const events = new Map<string, BakeEvent[]>();
  for (const { bake_id, data, ...rest } of rows) {
    const event = { ...rest, data: JSON.parse(data) as unknown } as BakeEvent;
    events.set(bake_id, [...(events.get(bake_id) ?? []), event]);
  }
  return events;
};

/** Bakes with their events. */
export async function withEvents(
  db: Database,
  bakes: readonly StoredBake[],
): Promise<BakeWithEvents[]> {
  const events =
    bakes.length > 0
      ? await eventsOf(
          db,
          bakes.map((b) => b.id),
        )
      : new Map();
  return bakes.map((b) => ({ ...b, events: events.get(b.id) ?? [] }));
}

export async function readBake(db: Database, id: string): Promise<BakeWithEvents | undefined> {
  const row = await selectBakes(db).where('b.id', '=', id).executeTakeFirst();
  return row && (await withEvents(db, [stored(row)]))[0];
}

/** Where the last bakes of some formulas were felt to be, newest first, at most `each` of one. */
export async function lastFelt(
  db: Database,
  formulas: readonly string[],
  each = 5,
): Promise<Map<string, number[]>> {
  if (formulas.length === 0) return new Map();
  const rows = await db
    .selectFrom('bake')
    .select(['formula_id', 'felt'])
    .where('formula_id', 'in', formulas)
    .where('felt', 'is not', null)
    .orderBy('started_at', 'desc')
    .execute();
  const felt = new Map<string, number[]>();
  for (const row of rows) {
    const list = felt.get(row.formula_id) ?? [];
    if (list.length < each) felt.set(row.formula_id, [...list, row.felt!]);
  }
  return felt;
}

/** Events that change what a bake taught. */
const teaches: ReadonlySet<BakeEvent['kind']> = new Set([
  'weighed',
  'unweighed',
  'added',
  'felt',
  'retracted',
  'finished',
]);

/**
 * Appends events to a bake; one that is already there counts once. A bake that finishes teaches; one
 * that is amended after it was finished is learned again, with every bake after it.
 *
 * @returns the bake as it then stands, or undefined where there is none
 */
export async function appendEvents(
  db: Database,
  id: string,
  events: readonly BakeEvent[],
): Promise<BakeWithEvents | undefined> {
  return inTransaction(db, async (tx) => {
    const before = await readBake(tx, id);
    if (!before) return undefined;
    if (events.length > 0) {
      await tx
        .insertInto('bake_event')
        .values(
          events.map((e) => ({
            id: e.id,
            bake_id: id,
            at: e.at,
            kind: e.kind,
            data: JSON.stringify(e.data),
          })),
        )
        .onConflict((c) => c.column('id').doNothing())
        .execute();
    }
    const after = (await eventsOf(tx, [id])).get(id) ?? [];
    const known = new Set(before.events.map((e) => e.id));
    const fresh = after.filter((e) => !known.has(e.id));
    const state = bakeState(after);
    await tx
      .updateTable('bake')
      .set({
        finished_at: state.finishedAt ?? null,
        felt: state.felt.at(-1)?.points ?? null,
        outcome: state.outcome ? JSON.stringify(state.outcome) : null,
      })
      .where('id', '=', id)
      .execute();
    if (state.finishedAt && fresh.some((e) => teaches.has(e.kind))) {
      if (before.finishedAt) await learnAgain(tx);
      else await learn(tx, { ...before, events: after });
    }
    return readBake(tx, id);
  });
}

/** Learns from one bake on top of what is believed. */
async function learn(db: Database, bake: BakeWithEvents): Promise<void> {
  const { belief } = await readBelief(db);
  const next = await lessonOf(db, bake, await readHousehold(db), belief);
  if (next) await saveBelief(db, next);
}

async function lessonOf(
  db: Database,
  bake: BakeWithEvents,
  household: Household,
  belief: Belief,
): Promise<Belief | undefined> {
  const version = await readFormula(db, bake.formulaId, bake.formulaVersion);
  // Bags had been open for as long as they had on the day of the bake.
  const then = { ...household, today: bake.startedAt.slice(0, 10) };
  const learned = version && learnFromBake(version.formula, bake.events, then, belief);
  if (!learned) return undefined;
  await db
    .updateTable('bake')
    .set({
      lesson: JSON.stringify(learned.lesson),
      felt: learned.lesson.felt ?? null,
    })
    .where('id', '=', bake.id)
    .execute();
  return learned.belief;
}

/** Forgets everything and learns the whole book again, in order. */
export async function learnAgain(db: Database): Promise<void> {
  const rows = await selectBakes(db)
    .where('b.finished_at', 'is not', null)
    .orderBy('b.finished_at')
    .orderBy('b.id')
    .execute();
  const household = await readHousehold(db);
  let belief = nothingLearned;
  for (const bake of await withEvents(db, rows.map(stored))) {
    belief = (await lessonOf(db, bake, household, belief)) ?? belief;
  }
  await saveBelief(db, belief);
}
