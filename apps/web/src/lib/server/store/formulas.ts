import { formulaWords, type Formula } from '@tender-crumb/core/formula';
import { sql } from 'kysely';
import { inTransaction, type Database } from '../database/open.ts';
import { keepAside } from './formula-asides.ts';
import { formulaOf } from './formula-body.ts';
import { currentIso } from '../../clock.ts';

export interface StoredFormula {
  readonly id: string;
  readonly version: number;
  readonly updatedAt: string;
  /** Name of the device that saved it, where that is known. */
  readonly device?: string;
  readonly formula: Formula;
}

/** Where a save comes from. */
export interface SavedBy {
  readonly at?: string;
  readonly device?: string;
  /** One sitting at a bench: its own earlier saves are not somebody else's. */
  readonly draft?: string;
}

/** What became of a save. */
export type Saved =
  | { readonly outcome: 'saved'; readonly version: number }
  | { readonly outcome: 'missing' }
  | { readonly outcome: 'stale'; readonly current: StoredFormula; readonly aside: string };

export interface Page<T> {
  readonly rows: T[];
  readonly total: number;
}

/** Every word of a search stands in the name of a `formula`, or in what else it is found by. */
export const found = (search: string) =>
  sql<boolean>`${sql.join(
    search
      .trim()
      .split(/\s+/)
      .slice(0, 12)
      .map((word) => {
        // As a LIKE pattern; % and _ in it are themselves.
        const like = `%${word.replace(/[\\%_]/g, '\\$&')}%`;
        return sql`(formula.name like ${like} escape '\\' or formula.words like ${like} escape '\\')`;
      }),
    sql` and `,
  )}`;

export async function countFormulas(db: Database, search = ''): Promise<number> {
  const { total } = await db
    .selectFrom('formula')
    .select((e) => e.fn.countAll<number>().as('total'))
    .where('off_shelf_at', 'is', null)
    .$if(search.trim() !== '', (q) => q.where(found(search)))
    .executeTakeFirstOrThrow();
  return total;
}

/** Formulas by their last change, newest first; `search`: all of its words, in the names or in what is in them. */
export async function listFormulas(
  db: Database,
  { limit = 50, offset = 0, search = '' } = {},
): Promise<Page<StoredFormula>> {
  const rows = await db
    .selectFrom('formula')
    .innerJoin('formula_version as v', (join) =>
      join.onRef('v.formula_id', '=', 'formula.id').onRef('v.version', '=', 'formula.version'),
    )
    .select(['formula.id', 'formula.version', 'formula.updated_at', 'v.body'])
    .where('formula.off_shelf_at', 'is', null)
    .$if(search.trim() !== '', (q) => q.where(found(search)))
    .orderBy('formula.updated_at', 'desc')
    .orderBy('formula.id', 'desc')
    .limit(limit)
    .offset(offset)
    .execute();
  return { rows: rows.map(stored), total: await countFormulas(db, search) };
}

/** Formulas on the shelf that were pasted from a text, but for the space around it; few, newest first. */
export async function pastedFrom(
  db: Database,
  source: string,
): Promise<Array<Pick<FormulaHead, 'id' | 'name'>>> {
  return db
    .selectFrom('formula')
    .innerJoin('formula_version as v', (join) =>
      join.onRef('v.formula_id', '=', 'formula.id').onRef('v.version', '=', 'formula.version'),
    )
    .select(['formula.id', 'formula.name'])
    .where('off_shelf_at', 'is', null)
    .where(sql<boolean>`trim(json_extract(v.body, '$.source'), ${whiteSpace}) = ${source.trim()}`)
    .orderBy('updated_at', 'desc')
    .limit(3)
    .execute();
}

/** What JavaScript trims and SQLite by itself does not. */
const whiteSpace = ' \t\n\r\u00a0\ufeff';

/** A formula's head: enough to list it. */
export interface FormulaHead {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly updatedAt: string;
}

/** As {@link listFormulas}, without the bodies. */
export async function listHeads(
  db: Database,
  { limit = 50, offset = 0, search = '' } = {},
): Promise<Page<FormulaHead>> {
  const rows = await db
    .selectFrom('formula')
    .select(['id', 'name', 'version', 'updated_at as updatedAt'])
    .where('off_shelf_at', 'is', null)
    .$if(search.trim() !== '', (q) => q.where(found(search)))
    .orderBy('updated_at', 'desc')
    .orderBy('id', 'desc')
    .limit(limit)
    .offset(offset)
    .execute();
  return { rows, total: await countFormulas(db, search) };
}

/** Bodies of formulas at the versions that are named. */
export async function readBodies(
  db: Database,
  heads: readonly FormulaHead[],
): Promise<Map<string, Formula>> {
  if (heads.length === 0) return new Map();
  const rows = await db
    .selectFrom('formula as f')
    .innerJoin('formula_version as v', (join) =>
      join.onRef('v.formula_id', '=', 'f.id').onRef('v.version', '=', 'f.version'),
    )
    .select(['f.id', 'v.body'])
    .where(
      'f.id',
      'in',
      heads.map((h) => h.id),
    )
    .execute();
  return new Map(rows.map((r) => [r.id, formulaOf(r.body)]));
}

const stored = (row: {
  id: string;
  version: number;
  updated_at: string;
  device?: string | null;
  body: string;
}): StoredFormula => ({
  id: row.id,
  version: row.version,
  updatedAt: row.updated_at,
  ...(row.device ? { device: row.device } : {}),
  formula: formulaOf(row.body),
});

/** A formula as it stands, or at one of its versions. */
export async function readFormula(
  db: Database,
  id: string,
  version?: number,
): Promise<StoredFormula | undefined> {
  const row = await db
    .selectFrom('formula as f')
    .innerJoin('formula_version as v', 'v.formula_id', 'f.id')
    .select(['f.id', 'v.version', 'v.saved_at as updated_at', 'v.device', 'v.body'])
    .where('f.id', '=', id)
    .where((e) =>
      version === undefined
        ? e('v.version', '=', e.ref('f.version'))
        : e('v.version', '=', version),
    )
    .executeTakeFirst();
  return row && stored(row);
}

/** Formulas as some bakes were made of them, by id and version with a space between. */
export async function readVersions(
  db: Database,
  bakes: ReadonlyArray<{ readonly formulaId?: string; readonly formulaVersion?: number }>,
): Promise<Record<string, Formula>> {
  const wanted = new Map(
    bakes.map((b) => [`${b.formulaId} ${b.formulaVersion}`, [b.formulaId, b.formulaVersion]]),
  );
  const rows = await sql<{ id: string; version: number; body: string }>`
    select v.formula_id as id, v.version, v.body from formula_version v
    join json_each(${JSON.stringify([...wanted.values()])}) w
      on v.formula_id = json_extract(w.value, '$[0]') and v.version = json_extract(w.value, '$[1]')
  `.execute(db);
  return Object.fromEntries(
    rows.rows.map(({ id, version, body }) => [`${id} ${version}`, formulaOf(body)]),
  );
}

/** A formula that is new: its first version. */
async function insertFormula(
  tx: Database,
  id: string,
  formula: Formula,
  { at = currentIso(), device, draft }: SavedBy,
): Promise<void> {
  await tx
    .insertInto('formula')
    .values({
      id,
      name: formula.name,
      style: formula.style,
      version: 1,
      created_at: at,
      updated_at: at,
      off_shelf_at: null,
      words: formulaWords(formula),
    })
    .execute();
  await insertVersion(tx, id, 1, formula, { at, device, draft });
}

async function insertVersion(
  tx: Database,
  id: string,
  version: number,
  formula: Formula,
  { at = currentIso(), device, draft }: SavedBy,
): Promise<void> {
  await tx
    .insertInto('formula_version')
    .values({
      formula_id: id,
      version,
      body: JSON.stringify(formula),
      saved_at: at,
      device: device ?? null,
      draft: draft ?? null,
    })
    .execute();
}

export async function addFormula(
  db: Database,
  formula: Formula,
  { id = crypto.randomUUID() as string, ...by }: SavedBy & { id?: string } = {},
): Promise<{ id: string; version: number }> {
  await inTransaction(db, (tx) => insertFormula(tx, id, formula, by));
  return { id, version: 1 };
}

/**
 * Whether everything that was saved since a version came from one sitting: its acknowledgement may
 * have been lost on the way, and its next save then still names the version before.
 */
async function allFrom(tx: Database, id: string, since: number, draft: string): Promise<boolean> {
  const other = await tx
    .selectFrom('formula_version')
    .select('version')
    .where('formula_id', '=', id)
    .where('version', '>', since)
    .where((e) => e.or([e('draft', 'is', null), e('draft', '!=', draft)]))
    .limit(1)
    .executeTakeFirst();
  return other === undefined;
}

/**
 * Saves a new version on top of the one that it was made from. From a stale copy the save is refused
 * and what it held is kept aside, so that both can be looked at. Sending the same save twice is once.
 *
 * @param basedOn version that the page had when it began; 0 for a formula that is new
 */
export async function saveFormula(
  db: Database,
  id: string,
  basedOn: number,
  formula: Formula,
  by: SavedBy = {},
): Promise<Saved> {
  const body = JSON.stringify(formula);
  return inTransaction(db, async (tx): Promise<Saved> => {
    const current = await readFormula(tx, id);
    if (!current) {
      if (basedOn > 0) return { outcome: 'missing' };
      await insertFormula(tx, id, formula, by);
      return { outcome: 'saved', version: 1 };
    }
    if (JSON.stringify(current.formula) === body) {
      return { outcome: 'saved', version: current.version };
    }
    const own =
      by.draft !== undefined &&
      basedOn < current.version &&
      (await allFrom(tx, id, basedOn, by.draft));
    if (current.version !== basedOn && !own) {
      return { outcome: 'stale', current, aside: await keepAside(tx, id, basedOn, body, by) };
    }
    const version = current.version + 1;
    const at = by.at ?? currentIso();
    await insertVersion(tx, id, version, formula, { ...by, at });
    await tx
      .updateTable('formula')
      // What is typed into it brings it back on the shelf: nothing typed is out of sight.
      .set({
        name: formula.name,
        style: formula.style,
        version,
        updated_at: at,
        off_shelf_at: null,
        words: formulaWords(formula),
      })
      .where('id', '=', id)
      .execute();
    return { outcome: 'saved', version };
  });
}

/**
 * Takes a formula off the shelf, or puts it back. Its versions and bakes stay.
 *
 * @returns whether there is such a formula
 */
export const standOnShelf = (db: Database, id: string, stands: boolean): Promise<boolean> =>
  inTransaction(db, async (tx) => {
    const { numUpdatedRows } = await tx
      .updateTable('formula')
      .set({ off_shelf_at: stands ? null : currentIso() })
      .where('id', '=', id)
      .executeTakeFirst();
    return numUpdatedRows > 0n;
  });

/** Writes down what formulas of earlier versions are found by. */
export const writeWords = (db: Database): Promise<void> =>
  inTransaction(db, async (tx) => {
    const bare = await tx.selectFrom('formula').select('id').where('words', '=', '').execute();
    for (const { id } of bare) {
      const found = await readFormula(tx, id);
      if (!found) continue;
      await tx
        .updateTable('formula')
        .set({ words: formulaWords(found.formula) })
        .where('id', '=', id)
        .execute();
    }
  });
