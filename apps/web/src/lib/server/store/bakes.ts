import {
  forBread,
  bakeState,
  forecastOf,
  kitchenNow,
  teaches,
  type BakeEvent,
  type BakeState,
  type BookBake,
  type Circumstances,
  type Formula,
  type KitchenThen,
  type Lesson,
  type LevelMark,
  type DeviceId,
  type Outcome,
  type Room,
} from '@tender-crumb/core';
import { learnBook } from '@tender-crumb/core/heavy';
import { sql } from 'kysely';
import { inTransaction, type Database } from '../database/open.ts';
import { dayAt } from '../day.ts';
import { formulaOf } from './formula-body.ts';
import { readFormula, type Page } from './formulas.ts';
import { keepBagUse } from './bag-use.ts';
import { readBelief, readHousehold, saveBelief } from './household.ts';
import { keepKitchen, readKitchens } from './kitchens.ts';
import { isBookLearned, wantLearning } from './learning.ts';

export interface StoredBake {
  readonly id: string;
  /** Absent for a bread that has no formula here. */
  readonly formulaId?: string;
  readonly formulaVersion?: number;
  /** Of its formula, or what was baked without one. */
  readonly formulaName: string;
  readonly style?: string;
  readonly method: DeviceId;
  readonly startedAt: string;
  readonly finishedAt?: string;
  readonly givenUpAt?: string;
  readonly outcome?: Outcome;
  readonly lesson?: Lesson;
  /** As it was shown when it began. */
  readonly forecast?: LevelMark;
  readonly circumstances: Circumstances;
}

export interface BakeWithEvents extends StoredBake {
  readonly events: BakeEvent[];
}

export interface NewBake {
  readonly id?: string;
  readonly formulaId?: string;
  readonly formulaVersion?: number;
  /** Of a bread that has no formula here. */
  readonly name?: string;
  readonly method: DeviceId;
  readonly startedAt?: string;
  /** The room as it was; the household's own where absent. */
  readonly room?: Room;
}

/**
 * Begins a bake of a version of a formula. Beginning the same bake twice is once; under its id no
 * other bread can be baked.
 */
export async function startBake(
  db: Database,
  bake: NewBake,
): Promise<'missing' | 'another' | { id: string }> {
  return inTransaction(db, async (tx) => {
    const { formulaId = null, formulaVersion = null, name = null } = bake;
    const baked =
      formulaId === null
        ? undefined
        : await readFormula(tx, formulaId, formulaVersion ?? undefined);
    if (!baked && formulaId !== null) return 'missing';
    const id = bake.id ?? crypto.randomUUID();
    const there = await tx
      .selectFrom('bake')
      .select(['formula_id', 'formula_version', 'name'])
      .where('id', '=', id)
      .executeTakeFirst();
    if (there) {
      const same =
        there.formula_id === formulaId &&
        there.formula_version === formulaVersion &&
        there.name === name;
      return same ? { id } : 'another';
    }
    const startedAt = bake.startedAt ?? new Date().toISOString();
    const now = await readHousehold(tx, new Date(startedAt));
    const household = { ...now, room: bake.room ?? now.room };
    const { belief } = await readBelief(tx);
    const forecast =
      baked && forecastOf(baked.formula, household, forBread(belief, formulaId ?? undefined));
    await tx
      .insertInto('bake')
      .values({
        id,
        formula_id: formulaId,
        formula_version: formulaVersion,
        name,
        method: bake.method,
        started_at: startedAt,
        day: dayAt(new Date(startedAt)),
        kitchen_id: await keepKitchen(tx, kitchenNow(household, baked?.formula)),
        forecast: forecast ? JSON.stringify(forecast) : null,
        finished_at: null,
        felt: null,
        outcome: null,
        lesson: null,
        given_up_at: null,
      })
      .execute();
    return { id };
  });
}

const selectBakes = (db: Database) =>
  db
    .selectFrom('bake as b')
    .leftJoin('formula as f', 'f.id', 'b.formula_id')
    .innerJoin('kitchen as k', 'k.id', 'b.kitchen_id')
    .select([
      'b.id',
      'b.formula_id',
      'b.formula_version',
      'b.method',
      'b.started_at',
      'b.finished_at',
      'b.outcome',
      'b.lesson',
      'b.given_up_at',
      'b.day',
      'b.forecast',
      'b.assumed',
      'b.kitchen_id',
      'k.body as kitchen',
      'b.name as own_name',
      'f.name',
      'f.style',
    ]);

type Row = Awaited<ReturnType<ReturnType<typeof selectBakes>['execute']>>[number];

const stored = (row: Row, kitchen?: KitchenThen): StoredBake => ({
  id: row.id,
  ...(row.formula_id === null
    ? {}
    : { formulaId: row.formula_id, formulaVersion: row.formula_version! }),
  formulaName: row.name ?? row.own_name ?? '',
  ...(row.style ? { style: row.style } : {}),
  method: row.method as DeviceId,
  startedAt: row.started_at,
  ...(row.finished_at ? { finishedAt: row.finished_at } : {}),
  ...(row.given_up_at ? { givenUpAt: row.given_up_at } : {}),
  ...(row.outcome ? { outcome: JSON.parse(row.outcome) as Outcome } : {}),
  ...(row.lesson ? { lesson: JSON.parse(row.lesson) as Lesson } : {}),
  ...(row.forecast ? { forecast: JSON.parse(row.forecast) as LevelMark } : {}),
  circumstances: {
    day: row.day,
    kitchen: kitchen ?? (JSON.parse(row.kitchen) as KitchenThen),
    ...(row.assumed ? { assumed: true } : {}),
  },
});

/** Bakes, newest first. */
export async function listBakes(
  db: Database,
  { limit = 50, offset = 0, formula = '', open = false } = {},
): Promise<Page<StoredBake>> {
  const rows = await selectBakes(db)
    .$if(formula !== '', (q) => q.where('b.formula_id', '=', formula))
    .$if(open, (q) => q.where('b.finished_at', 'is', null).where('b.given_up_at', 'is', null))
    .orderBy('b.started_at', 'desc')
    .orderBy('b.id', 'desc')
    .limit(limit)
    .offset(offset)
    .execute();
  return { rows: rows.map((row) => stored(row)), total: await countBakes(db, { formula, open }) };
}

/** How many bakes there are of a formula, or of all; those that are still open alone. */
export async function countBakes(
  db: Database,
  { formula = '', open = false } = {},
): Promise<number> {
  const { total } = await db
    .selectFrom('bake')
    .select((e) => e.fn.countAll<number>().as('total'))
    .$if(formula !== '', (q) => q.where('formula_id', '=', formula))
    .$if(open, (q) => q.where('finished_at', 'is', null).where('given_up_at', 'is', null))
    .executeTakeFirstOrThrow();
  return total;
}

const eventsOf = async (
  db: Database,
  ids: readonly string[],
): Promise<Map<string, BakeEvent[]>> => {
  const rows = await db
    .selectFrom('bake_event')
    .select(['id', 'bake_id', 'at', 'kind', 'data'])
    // One parameter, however many bakes they are.
    .where(sql<boolean>`bake_id in (select value from json_each(${JSON.stringify(ids)}))`)
    .orderBy('seq')
    .execute();
  const events = new Map<string, BakeEvent[]>();
  for (const { bake_id, data, ...rest } of rows) {
    const event = { ...rest, data: JSON.parse(data) as unknown } as BakeEvent;
    const list = events.get(bake_id);
    if (list) list.push(event);
    else events.set(bake_id, [event]);
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

/** Notes are looked for in so many bakes before. */
const notesIn = 10;

/** What was noted last at each step of the bakes of that bread before this one. */
export async function notesBefore(
  db: Database,
  { id, formulaId, startedAt }: StoredBake,
): Promise<BakeState['notes']> {
  if (formulaId === undefined) return {};
  const before = await db
    .selectFrom('bake')
    .select('id')
    .where('formula_id', '=', formulaId)
    .where('finished_at', 'is not', null)
    .where('started_at', '<', startedAt)
    .where('id', '!=', id)
    .orderBy('started_at', 'desc')
    .limit(notesIn)
    .execute();
  const events = await eventsOf(
    db,
    before.map((b) => b.id),
  );
  // The oldest first: what was said later at a step takes its place.
  return before.reduceRight<BakeState['notes']>(
    (notes, b) => ({ ...notes, ...bakeState(events.get(b.id) ?? []).notes }),
    {},
  );
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
    const list = felt.get(row.formula_id!) ?? [];
    if (list.length < each) felt.set(row.formula_id!, [...list, row.felt!]);
  }
  return felt;
}

/**
 * Appends events to a bake; one that is already there counts once. A bake that finishes teaches; one
 * that is amended after it was finished, or whose finish is taken back, has the book learned again.
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
        .onConflict((c) => c.columns(['bake_id', 'id']).doNothing())
        .execute();
    }
    const after = (await eventsOf(tx, [id])).get(id) ?? [];
    const known = new Set(before.events.map((e) => e.id));
    const fresh = after.filter((e) => !known.has(e.id));
    if (fresh.length === 0) return before;
    const state = bakeState(after);
    await tx
      .updateTable('bake')
      .set({
        finished_at: state.finishedAt ?? null,
        given_up_at: state.finishedAt ? null : (state.abandonedAt ?? null),
        felt: state.felt.at(-1)?.points ?? null,
        outcome: state.outcome ? JSON.stringify(state.outcome) : null,
        // What was taught goes with the finish; it comes anew with the next one.
        ...(state.finishedAt ? {} : { lesson: null }),
      })
      .where('id', '=', id)
      .execute();
    if ((before.finishedAt || state.finishedAt) && fresh.some(teaches)) {
      await keepUse(tx, before, state);
      if (before.finishedAt || !(await isBookLearned(tx))) await wantLearning(tx);
      else await learnOne(tx, { ...before, events: after });
    }
    return readBake(tx, id);
  });
}

/** Writes down what a bake of a formula took out of the household's bags. */
async function keepUse(tx: Database, bake: StoredBake, state: BakeState): Promise<void> {
  if (bake.formulaId === undefined) return;
  const version = await readFormula(tx, bake.formulaId, bake.formulaVersion);
  if (version) await keepBagUse(tx, bake.id, version.formula, state, await readHousehold(tx));
}

/** Learns from one bake on top of what is believed. */
async function learnOne(tx: Database, bake: BakeWithEvents): Promise<void> {
  if (bake.formulaId === undefined) return;
  const version = await readFormula(tx, bake.formulaId, bake.formulaVersion);
  if (!version) return;
  const before = (await readBelief(tx)).belief;
  const fold = learnBook(
    [{ ...bake, bread: bake.formulaId, formula: version.formula }],
    await readHousehold(tx),
    before,
  );
  let step = fold.next();
  while (!step.done) step = fold.next();
  const { belief, lessons } = step.value;
  await saveLesson(tx, bake.id, lessons.get(bake.id));
  await saveBelief(tx, belief);
}

/** Writes down what a bake taught. */
export const saveLesson = (tx: Database, id: string, lesson: Lesson | undefined) =>
  tx
    .updateTable('bake')
    .set({
      lesson: lesson ? JSON.stringify(lesson) : null,
      ...(lesson ? { felt: lesson.felt ?? null } : {}),
    })
    .where('id', '=', id)
    .execute();

/** Every finished bake of a formula, with it as baked, in the order in which they were finished. */
export async function wholeBook(db: Database): Promise<BookBake[]> {
  const rows = await selectBakes(db)
    .where('b.finished_at', 'is not', null)
    .where('b.formula_id', 'is not', null)
    .orderBy('b.finished_at')
    .orderBy('b.id')
    .execute();
  const versions = await db
    .selectFrom('formula_version')
    .select(['formula_id', 'version', 'body'])
    .execute();
  const bodies = new Map(versions.map((v) => [`${v.formula_id} ${v.version}`, v.body]));
  const parsed = new Map<string, Formula>();
  const bakedAt = (key: string): Formula => {
    const known = parsed.get(key) ?? formulaOf(bodies.get(key)!);
    parsed.set(key, known);
    return known;
  };
  const kitchens = await readKitchens(db);
  const bakes = rows.map((row) => stored(row, kitchens.get(row.kitchen_id!)));
  return (await withEvents(db, bakes)).map(({ id, events, circumstances, ...bake }) => ({
    id,
    events,
    circumstances,
    ...(bake.formulaId === undefined ? {} : { bread: bake.formulaId }),
    formula: bakedAt(`${bake.formulaId} ${bake.formulaVersion}`),
  }));
}
