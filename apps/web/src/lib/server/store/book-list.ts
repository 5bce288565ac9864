import { sql } from 'kysely';
import type { Database } from '../database/open.ts';
import { found } from './formulas.ts';
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
  /** Searchs bread, its outcome, its notes. */
  readonly words?: string | undefined;
}

/** A word as LIKE looks for it anywhere in a text. */
const anywhere = (word: string): string => `%${word.replaceAll(/[\\%_]/g, '\\$&')}%`;

/** Words are looked for one by one: so many of them at most. */
const mostWords = 8;

/**
 * What of an outcome is somebody's words: not the names that it is kept under, nor that nothing was said. It is in an
 * index as it stands here (migration 0010).
 */
const toldIn = sql<string>`replace(
  json_extract(b.outcome, '$.note', '$.words', '$.crumb', '$.crust', '$.taste'), 'null', '')`;

/** A word anywhere in what is called so, was said of it, or was noted at its steps. */
const speaksOf = (word: string) => {
  const like = anywhere(word);
  return sql<boolean>`(
    b.formula_id in (select id from formula where name like ${like} escape '\\')
    or ${toldIn} like ${like} escape '\\'
    or (b.formula_id is null and b.name like ${like} escape '\\')
    or b.id in (select n.bake_id from bake_event as n where n.kind = 'note'
      and json_extract(n.data, '$.text') like ${like} escape '\\'))`;
};

/** Bakes that fit, by their ids alone: what else is read of them is read of one page. */
const fitting = (db: Database, asked: BookAsked) => {
  const { formula, bag, method, months, stars, day, words = '' } = asked;
  return words
    .split(/\s+/)
    .filter(Boolean)
    .slice(0, mostWords)
    .reduce(
      (q, word) => q.where(speaksOf(word)),
      db
        .selectFrom('bake as b')
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
          q.where('b.id', 'in', (e) =>
            e.selectFrom('bag_use as u').select('u.bake_id').where('u.bag_id', '=', bag!),
          ),
        ),
    );
};

const newestFirst = sql`b.started_at desc, b.id desc`;

/** A stretch of a list. */
interface Stretch {
  readonly limit: number;
  readonly offset: number;
}

/**
 * Bakes that fit, newest first, and how many they are.
 *
 * @param stretch which of so many are wanted: they are gone through once, and counted as they are
 */
export async function listBook(
  db: Database,
  asked: BookAsked,
  stretch: (total: number) => Stretch,
): Promise<{ rows: StoredBake[]; total: number }> {
  const wanted = async (): Promise<{ total: number; ids: readonly string[] }> => {
    if (Object.keys(asked).length === 0) {
      const total = await countBakes(db);
      const { limit, offset } = stretch(total);
      const page = await fitting(db, asked)
        .orderBy(newestFirst)
        .limit(limit)
        .offset(offset)
        .execute();
      return { total, ids: page.map((b) => b.id) };
    }
    // As one text: of thousands of rows each costs more to hand over than to find.
    const { all } = await db
      .selectFrom(fitting(db, asked).orderBy(newestFirst).as('fit'))
      .select(sql<string>`json_group_array(id)`.as('all'))
      .executeTakeFirstOrThrow();
    const fit = JSON.parse(all) as string[];
    const { limit, offset } = stretch(fit.length);
    return { total: fit.length, ids: fit.slice(offset, offset + limit) };
  };
  const { total, ids } = await wanted();
  if (ids.length === 0) return { rows: [], total };
  const rows = await selectBakes(db).where('b.id', 'in', ids).orderBy(newestFirst).execute();
  return { rows: rows.map((row) => stored(row)), total };
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

/** A bread that was baked, and how often. */
export interface BakedBread {
  readonly id: string;
  readonly name: string;
  readonly style: string;
  readonly bakes: number;
}

/** Some breads that were baked, and how many there are. */
export interface BakedBreads {
  readonly rows: readonly BakedBread[];
  readonly total: number;
}

/** So many breads are shown at once: nobody picks from more by looking. */
export const breadsAtOnce = 40;

/**
 * Breads that were baked, the most often baked first, as many as are picked from.
 *
 * @param find as a formula is looked for on the shelf
 * @param also ids of breads that are among them whatever was looked for
 */
export async function breadsOfBook(
  db: Database,
  {
    find = '',
    also = [],
    offset = 0,
  }: { find?: string; also?: readonly string[]; offset?: number } = {},
): Promise<BakedBreads> {
  const counted = db
    .selectFrom('bake')
    .select((e) => ['formula_id', e.fn.countAll<number>().as('bakes')])
    .where('finished_at', 'is not', null)
    .where('formula_id', 'is not', null)
    .groupBy('formula_id');
  const baked = db
    .selectFrom(counted.as('b'))
    .innerJoin('formula', 'formula.id', 'b.formula_id')
    .select(['formula.id', 'formula.name', 'formula.style', 'b.bakes'])
    .orderBy('b.bakes', 'desc')
    .orderBy('formula.name');
  const named = baked.$if(find.trim() !== '', (q) => q.where(found(find)));
  const [rows, besides, { total }] = await Promise.all([
    named.limit(breadsAtOnce).offset(offset).execute(),
    also.length === 0 ? [] : baked.where('formula.id', 'in', [...also]).execute(),
    db
      .selectFrom(named.clearOrderBy().as('n'))
      .select((e) => e.fn.countAll<number>().as('total'))
      .executeTakeFirstOrThrow(),
  ]);
  const there = new Set(rows.map((r) => r.id));
  return { rows: [...rows, ...besides.filter((b) => !there.has(b.id))], total };
}

/** How many bakes the book holds. */
export async function bakesInBook(db: Database): Promise<number> {
  const { bakes } = await db
    .selectFrom('bake')
    .select((e) => e.fn.countAll<number>().as('bakes'))
    .where('finished_at', 'is not', null)
    .where('formula_id', 'is not', null)
    .executeTakeFirstOrThrow();
  return bakes;
}
