import { sql } from 'kysely';
import type { Database } from '../database/open.ts';
import { countBakes } from './bakes.ts';
import { selectBakes, stored, type StoredBake } from './bake-rows.ts';

/** What the book is looked through for; everything that is given must fit. */
export interface BookAsked {
  readonly formula?: string | undefined;
  readonly bag?: string | undefined;
  readonly method?: string | undefined;
  /** Months, 1 to 12. */
  readonly months?: readonly number[] | undefined;
  /** Place among the judgements. */
  readonly stars?: number | undefined;
  /** ISO date, or a month of it. */
  readonly day?: string | undefined;
  /** Words of its bread, its outcome, its notes. */
  readonly words?: string | undefined;
}

/** A word as LIKE looks for it anywhere in a text. */
const anywhere = (word: string): string => `%${word.replaceAll(/[\\%_]/g, '\\$&')}%`;

/** Words are looked for one by one: so many of them at most. */
const mostWords = 8;

/** What of an outcome is somebody's words: not the names that it is kept under. */
const told = ['note', 'words', 'crumb', 'crust', 'taste'] as const;

/** Bakes that fit, by their ids alone: what else is read of them is read of one page. */
const fitting = (db: Database, asked: BookAsked) => {
  const { formula, bag, method, months, stars, day, words = '' } = asked;
  return words
    .split(/\s+/)
    .filter(Boolean)
    .slice(0, mostWords)
    .reduce(
      (q, word) =>
        q.where((e) => {
          const like = anywhere(word);
          const inNotes = e
            .selectFrom('bake_event as n')
            .select('n.seq')
            .whereRef('n.bake_id', '=', 'b.id')
            .where('n.kind', '=', 'note')
            .where(sql<boolean>`json_extract(n.data, '$.text') like ${like} escape '\\'`);
          return e.or([
            sql<boolean>`coalesce(f.name, b.name) like ${like} escape '\\'`,
            ...told.map(
              (part) =>
                sql<boolean>`json_extract(b.outcome, ${`$.${part}`}) like ${like} escape '\\'`,
            ),
            e.exists(inNotes),
          ]);
        }),
      db
        .selectFrom('bake as b')
        .leftJoin('formula as f', 'f.id', 'b.formula_id')
        .select('b.id')
        .$if(formula !== undefined, (q) => q.where('b.formula_id', '=', formula!))
        .$if(method !== undefined, (q) => q.where('b.method', '=', method!))
        .$if(day !== undefined, (q) => q.where('b.day', 'like', `${day!}%`))
        .$if(stars !== undefined, (q) =>
          q.where(sql<boolean>`json_extract(b.outcome, '$.stars') = ${stars!}`),
        )
        .$if(months !== undefined && months.length > 0, (q) =>
          q.where(sql<number>`cast(substr(b.day, 6, 2) as integer)`, 'in', months!),
        )
        .$if(bag !== undefined, (q) =>
          q.where((e) =>
            e.exists(
              e
                .selectFrom('bag_use as u')
                .select('u.bag_id')
                .whereRef('u.bake_id', '=', 'b.id')
                .where('u.bag_id', '=', bag!),
            ),
          ),
        ),
    );
};

/** Bakes that fit, newest first. */
export async function listBook(
  db: Database,
  asked: BookAsked,
  { limit, offset }: { readonly limit: number; readonly offset: number },
): Promise<StoredBake[]> {
  const rows = await selectBakes(db)
    .where(
      'b.id',
      'in',
      fitting(db, asked)
        .orderBy('b.started_at', 'desc')
        .orderBy('b.id', 'desc')
        .limit(limit)
        .offset(offset),
    )
    .orderBy('b.started_at', 'desc')
    .orderBy('b.id', 'desc')
    .execute();
  return rows.map((row) => stored(row));
}

/** How many bakes fit. */
export async function countBook(db: Database, asked: BookAsked): Promise<number> {
  if (Object.keys(asked).length === 0) return countBakes(db);
  const { total } = await db
    .selectFrom(fitting(db, asked).as('fit'))
    .select((e) => e.fn.countAll<number>().as('total'))
    .executeTakeFirstOrThrow();
  return total;
}

/** How many bakes there were on each day of a year, and the best judgement of each. */
export async function yearOf(
  db: Database,
  year: number,
): Promise<Array<{ day: string; bakes: number; stars: number | null }>> {
  return db
    .selectFrom('bake')
    .select((e) => [
      'day',
      e.fn.countAll<number>().as('bakes'),
      sql<number | null>`max(json_extract(outcome, '$.stars'))`.as('stars'),
    ])
    .where('day', '>=', `${year}-01-01`)
    .where('day', '<=', `${year}-12-31`)
    .groupBy('day')
    .orderBy('day')
    .execute();
}

/** The first year and the last that were baked in. */
export async function yearsOf(db: Database): Promise<{ first: number; last: number } | undefined> {
  const { first, last } = await db
    .selectFrom('bake')
    .select((e) => [
      e.fn.min<string | null>('day').as('first'),
      e.fn.max<string | null>('day').as('last'),
    ])
    .executeTakeFirstOrThrow();
  return first && last
    ? { first: Number(first.slice(0, 4)), last: Number(last.slice(0, 4)) }
    : undefined;
}

/** The bake of the same bread before each of some bakes. */
export async function bakesBefore(
  db: Database,
  ids: readonly string[],
): Promise<ReadonlyMap<string, string>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .selectFrom('bake as b')
    .select((e) => [
      'b.id',
      e
        .selectFrom('bake as p')
        .select('p.id')
        .whereRef('p.formula_id', '=', 'b.formula_id')
        .whereRef('p.started_at', '<', 'b.started_at')
        .where('p.finished_at', 'is not', null)
        .orderBy('p.started_at', 'desc')
        .limit(1)
        .as('before'),
    ])
    .where('b.id', 'in', ids)
    .where('b.formula_id', 'is not', null)
    .execute();
  return new Map(rows.flatMap(({ id, before }) => (before === null ? [] : [[id, before]])));
}

/** Breads that were baked, the most often baked first. */
export async function breadsOfBook(
  db: Database,
): Promise<Array<{ id: string; name: string; style: string; bakes: number }>> {
  return db
    .selectFrom('bake as b')
    .innerJoin('formula as f', 'f.id', 'b.formula_id')
    .select((e) => ['f.id', 'f.name', 'f.style', e.fn.countAll<number>().as('bakes')])
    .where('b.finished_at', 'is not', null)
    .groupBy('f.id')
    .orderBy('bakes', 'desc')
    .orderBy('f.name')
    .execute();
}
