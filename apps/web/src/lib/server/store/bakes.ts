import {
  bakeState,
  type BakeEvent,
  type BakeState,
  type KitchenThen,
} from '@tender-crumb/core/bake';
import type { Room } from '@tender-crumb/core/household';
import { beginningOf, type LevelMark } from '@tender-crumb/core/learn';
import type { DeviceId } from '@tender-crumb/core/machine';
import { deviceFor } from '@tender-crumb/core/process';
import { inTransaction, type Database } from '../database/open.ts';
import { dayAt } from '../day.ts';
import { eventRow, eventsOf, withEvents } from './bake-events.ts';
import { selectBakes, stored, type BakeWithEvents, type StoredBake } from './bake-rows.ts';
import { saysTheSame } from '../../wire/merge.ts';
import { listAside } from './formula-asides.ts';
import { readFormula, saveFormula, type Page } from './formulas.ts';
import { readBelief } from './belief.ts';
import { readHousehold } from './household.ts';
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
  /** The sitting whose last save is baked, where its version was not known to whoever began. */
  readonly draft?: string;
  /** The kitchen and the forecast as they were shown where it was begun; as they are here where absent. */
  readonly kitchen?: KitchenThen;
  readonly forecast?: LevelMark;
  /** What is known of it from its beginning. */
  readonly events?: readonly BakeEvent[];
  /** The planned bake that it is. */
  readonly planned?: string;
}

/** What of its circumstances a device said otherwise than the server had it. */
type Otherwise = 'kitchen' | 'forecast';

/** A page and the server work out the same, but for the last digits on their way as text. */
const alike = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;
const isSameMark = (a: LevelMark | undefined, b: LevelMark | undefined): boolean =>
  a === b ||
  (a !== undefined &&
    b !== undefined &&
    alike(a.points, b.points) &&
    alike(a.low, b.low) &&
    alike(a.high, b.high));

/**
 * The version that a sitting saved last. What was refused as stale and kept aside is put among the versions, with what
 * stands on the shelf on top again: what was baked can be looked up.
 */
async function versionOf(
  tx: Database,
  formulaId: string,
  draft: string | undefined,
): Promise<number | undefined> {
  if (draft === undefined) return undefined;
  const saved = await tx
    .selectFrom('formula_version')
    .select('version')
    .where('formula_id', '=', formulaId)
    .where('draft', '=', draft)
    .orderBy('version', 'desc')
    .limit(1)
    .executeTakeFirst();
  const aside = (await listAside(tx, formulaId)).find((a) => a.draft === draft);
  if (!aside) return saved?.version;
  const head = await readFormula(tx, formulaId);
  if (!head) return undefined;
  const baked = await saveFormula(tx, formulaId, head.version, aside.formula, { draft });
  if (baked.outcome !== 'saved') return undefined;
  await saveFormula(tx, formulaId, baked.version, head.formula);
  return baked.version;
}

/** The plan knows which bake was made of it; one that was dropped meanwhile needs not. */
const isPlanned = (tx: Database, plan: string, bake: string) =>
  tx
    .updateTable('planned_bake')
    .set((e) => ({ bake_id: bake, version: e('version', '+', 1) }))
    .where('id', '=', plan)
    .execute();

/**
 * Begins a bake of a version of a formula. Beginning the same bake twice is once; under its id no
 * other bread can be baked.
 */
export async function startBake(
  db: Database,
  bake: NewBake,
): Promise<'missing' | 'another' | { id: string }> {
  return inTransaction(db, async (tx) => {
    const { formulaId = null, name = null } = bake;
    const id = bake.id ?? crypto.randomUUID();
    const there = await tx
      .selectFrom('bake')
      .select(['formula_id', 'formula_version', 'name'])
      .where('id', '=', id)
      .executeTakeFirst();
    if (there) {
      const same =
        there.formula_id === formulaId &&
        (bake.formulaVersion === undefined || there.formula_version === bake.formulaVersion) &&
        there.name === name;
      return same ? { id } : 'another';
    }
    const formulaVersion =
      formulaId === null
        ? null
        : (bake.formulaVersion ?? (await versionOf(tx, formulaId, bake.draft)) ?? null);
    const baked =
      formulaId === null || formulaVersion === null
        ? undefined
        : await readFormula(tx, formulaId, formulaVersion);
    if (!baked && formulaId !== null) return 'missing';
    const startedAt = bake.startedAt ?? currentIso();
    const now = await readHousehold(tx, new Date(startedAt));
    const household = { ...now, room: bake.room ?? now.room };
    const { belief } = await readBelief(tx);
    const here = beginningOf({
      formula: baked?.formula,
      household,
      belief,
      bread: formulaId ?? undefined,
      baker: bake.baker,
    });
    const { baker } = here;
    const { kitchen = here.kitchen, forecast = here.forecast } = bake;
    const otherwise: Otherwise[] = [
      ...(saysTheSame(kitchen, here.kitchen) ? [] : ['kitchen' as const]),
      ...(isSameMark(forecast, here.forecast) ? [] : ['forecast' as const]),
    ];
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
        kitchen_id: await keepKitchen(tx, kitchen),
        forecast: forecast ? JSON.stringify(forecast) : null,
        otherwise: otherwise.length > 0 ? JSON.stringify(otherwise) : null,
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
    if (bake.planned !== undefined) await isPlanned(tx, bake.planned, id);
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
