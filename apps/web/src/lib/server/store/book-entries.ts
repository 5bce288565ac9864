import type { KitchenThen } from '@tender-crumb/core/bake';
import type { BookEntry } from '@tender-crumb/core/book';
import type { Formula } from '@tender-crumb/core/formula';
import { sql } from 'kysely';
import type { Database } from '../database/open.ts';
import { withEvents } from './bake-events.ts';
import { selectBakes, stored } from './bake-rows.ts';
import { formulaOf } from './formula-body.ts';

/** Of which bakes entries are read. */
type EntriesAsked =
  | { readonly ids: readonly string[] }
  /** Finished bakes of a bread, the newest so many of them. */
  | { readonly bread: string; readonly newest: number };

/** The formula of each bake as it was baked, by its id and version. */
async function bodiesOf(
  db: Database,
  wanted: ReadonlyArray<{ readonly formulaId?: string; readonly formulaVersion?: number }>,
): Promise<(id: string, version: number) => Formula> {
  const ids = [...new Set(wanted.flatMap((w) => w.formulaId ?? []))];
  const rows = await db
    .selectFrom('formula_version')
    .select(['formula_id', 'version', 'body'])
    .where(sql<boolean>`formula_id in (select value from json_each(${JSON.stringify(ids)}))`)
    .execute();
  const bodies = new Map(rows.map((r) => [`${r.formula_id} ${r.version}`, r.body]));
  const read = new Map<string, Formula>();
  return (id, version) => {
    const key = `${id} ${version}`;
    const known = read.get(key) ?? formulaOf(bodies.get(key)!);
    read.set(key, known);
    return known;
  };
}

/** Bakes as the book keeps them, in the order in which they were made; those without a formula are left out. */
export async function bookEntries(db: Database, asked: EntriesAsked): Promise<BookEntry[]> {
  const rows = await selectBakes(db)
    .where('b.formula_id', 'is not', null)
    .$if('ids' in asked, (q) =>
      q.where(
        sql<boolean>`b.id in (select value from json_each(${JSON.stringify((asked as { ids: readonly string[] }).ids)}))`,
      ),
    )
    .$if('bread' in asked, (q) =>
      q
        .where('b.formula_id', '=', (asked as { bread: string }).bread)
        .where('b.finished_at', 'is not', null)
        .limit((asked as { newest: number }).newest),
    )
    .orderBy('b.started_at', 'desc')
    .orderBy('b.id', 'desc')
    .execute();
  // Bakes of one kitchen share it: what is worked out of it is worked out once.
  const kitchens = new Map(
    rows.map((row) => [row.kitchen_id, JSON.parse(row.kitchen) as KitchenThen] as const),
  );
  const bakes = await withEvents(
    db,
    rows.map((row) => stored(row, kitchens.get(row.kitchen_id))).reverse(),
  );
  const formula = await bodiesOf(db, bakes);
  return bakes.map(
    ({
      id,
      formulaId,
      formulaVersion,
      formulaName,
      method,
      startedAt,
      events,
      circumstances,
      lesson,
    }) => ({
      id,
      bread: formulaId!,
      name: formulaName,
      method,
      startedAt,
      formula: formula(formulaId!, formulaVersion!),
      events,
      circumstances,
      ...(lesson ? { lesson } : {}),
    }),
  );
}
