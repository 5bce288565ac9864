import type { Formula } from '@tender-crumb/core';
import { sql } from 'kysely';
import { inTransaction, type Database } from '../database/open.ts';

export interface StoredFormula {
  readonly id: string;
  readonly version: number;
  readonly updatedAt: string;
  readonly formula: Formula;
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

/** The search as a LIKE pattern; % and _ in it are themselves. */
const likeOf = (search: string) =>
  sql<string>`${`%${search.replace(/[\\%_]/g, '\\$&')}%`} escape '\\'`;

async function countFormulas(db: Database, search: string): Promise<number> {
  const { total } = await db
    .selectFrom('formula')
    .select((e) => e.fn.countAll<number>().as('total'))
    .$if(search !== '', (q) => q.where('name', 'like', likeOf(search)))
    .executeTakeFirstOrThrow();
  return total;
}

/** Formulas by their last change, newest first; `search` looks into the names. */
export async function listFormulas(
  db: Database,
  { limit = 50, offset = 0, search = '' } = {},
): Promise<Page<StoredFormula>> {
  const like = likeOf(search);
  const rows = await db
    .selectFrom('formula as f')
    .innerJoin('formula_version as v', (join) =>
      join.onRef('v.formula_id', '=', 'f.id').onRef('v.version', '=', 'f.version'),
    )
    .select(['f.id', 'f.version', 'f.updated_at', 'v.body'])
    .$if(search !== '', (q) => q.where('f.name', 'like', like))
    .orderBy('f.updated_at', 'desc')
    .orderBy('f.id', 'desc')
    .limit(limit)
    .offset(offset)
    .execute();
  return { rows: rows.map(stored), total: await countFormulas(db, search) };
}

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
  const like = likeOf(search);
  const rows = await db
    .selectFrom('formula')
    .select(['id', 'name', 'version', 'updated_at as updatedAt'])
    .$if(search !== '', (q) => q.where('name', 'like', like))
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
  return new Map(rows.map((r) => [r.id, JSON.parse(r.body) as Formula]));
}

const stored = (row: {
  id: string;
  version: number;
  updated_at: string;
  body: string;
}): StoredFormula => ({
  id: row.id,
  version: row.version,
  updatedAt: row.updated_at,
  formula: JSON.parse(row.body) as Formula,
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
    .select(['f.id', 'v.version', 'v.saved_at as updated_at', 'v.body'])
    .where('f.id', '=', id)
    .where((e) =>
      version === undefined
        ? e('v.version', '=', e.ref('f.version'))
        : e('v.version', '=', version),
    )
    .executeTakeFirst();
  return row && stored(row);
}

export async function addFormula(
  db: Database,
  formula: Formula,
  { id = crypto.randomUUID() as string, at = new Date().toISOString() } = {},
): Promise<{ id: string; version: number }> {
  return inTransaction(db, async (tx) => {
    await tx
      .insertInto('formula')
      .values({
        id,
        name: formula.name,
        style: formula.style,
        version: 1,
        created_at: at,
        updated_at: at,
      })
      .execute();
    await tx
      .insertInto('formula_version')
      .values({ formula_id: id, version: 1, body: JSON.stringify(formula), saved_at: at })
      .execute();
    return { id, version: 1 };
  });
}

/**
 * Saves a new version on top of the one that it was made from. From a stale copy the save is refused
 * and what it held is kept aside, so that both can be looked at. Sending the same save twice is once.
 *
 * @param basedOn version that the page had when it began
 */
export async function saveFormula(
  db: Database,
  id: string,
  basedOn: number,
  formula: Formula,
  at = new Date().toISOString(),
): Promise<Saved> {
  const body = JSON.stringify(formula);
  return inTransaction(db, async (tx): Promise<Saved> => {
    const current = await readFormula(tx, id);
    if (!current) return { outcome: 'missing' };
    if (JSON.stringify(current.formula) === body) {
      return { outcome: 'saved', version: current.version };
    }
    if (current.version !== basedOn) {
      const aside = crypto.randomUUID();
      await tx
        .insertInto('formula_aside')
        .values({ id: aside, formula_id: id, based_on: basedOn, body, kept_at: at })
        .execute();
      return { outcome: 'stale', current, aside };
    }
    const version = basedOn + 1;
    await tx
      .insertInto('formula_version')
      .values({ formula_id: id, version, body, saved_at: at })
      .execute();
    await tx
      .updateTable('formula')
      .set({ name: formula.name, style: formula.style, version, updated_at: at })
      .where('id', '=', id)
      .execute();
    return { outcome: 'saved', version };
  });
}

/** Copies that were refused as stale and kept. */
export async function listAside(
  db: Database,
  id: string,
): Promise<Array<{ id: string; basedOn: number; keptAt: string; formula: Formula }>> {
  const rows = await db
    .selectFrom('formula_aside')
    .selectAll()
    .where('formula_id', '=', id)
    .orderBy('kept_at', 'desc')
    .execute();
  return rows.map((r) => ({
    id: r.id,
    basedOn: r.based_on,
    keptAt: r.kept_at,
    formula: JSON.parse(r.body) as Formula,
  }));
}
