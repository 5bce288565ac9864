import {
  bakeState,
  deviceFor,
  forBread,
  forecastOf,
  kitchenNow,
  withBaker,
  type BakeState,
  type DeviceId,
  type Room,
} from '@tender-crumb/core';
import { inTransaction, type Database } from '../database/open.ts';
import { dayAt } from '../day.ts';
import { eventRow, eventsOf, withEvents } from './bake-events.ts';
import { selectBakes, stored, type BakeWithEvents, type StoredBake } from './bake-rows.ts';
import { readFormula, type Page } from './formulas.ts';
import { readBelief, readHousehold } from './household.ts';
import { keepKitchen } from './kitchens.ts';
import { madeBefore } from './made-before.ts';
import { currentIso } from '../../clock.ts';

export interface NewBake {
  readonly id?: string;
  readonly formulaId?: string;
  readonly formulaVersion?: number;
  /** Of a bread that has no formula here. */
  readonly name?: string;
  /** In what it is made; as {@link deviceFor} has it where absent. */
  readonly method?: DeviceId;
  /** Who stands at the bowl; the usual one where absent. */
  readonly baker?: string;
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
    const startedAt = bake.startedAt ?? currentIso();
    const now = await readHousehold(tx, new Date(startedAt));
    // A device may remember one who is gone.
    const baker = now.bakers.find((b) => b.id === bake.baker)?.id;
    const household = withBaker({ ...now, room: bake.room ?? now.room }, baker);
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
        method:
          bake.method ??
          (baked ? deviceFor(baked.formula, await madeBefore(tx, baked.id), household) : 'hand'),
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
    if (baker !== undefined) {
      const data = { baker };
      const event = eventRow(id, { id: 'baker', at: startedAt, kind: 'baker', data });
      await tx.insertInto('bake_event').values(event).execute();
    }
    return { id };
  });
}

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
