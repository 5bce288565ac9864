import type { Outcome } from '@tender-crumb/core/bake';
import { bakeRecord, differences, type Difference } from '@tender-crumb/core/book';
import { windowIn } from '@tender-crumb/core/dough';
import type { Belief } from '@tender-crumb/core/belief';
import type { Household } from '@tender-crumb/core/household';
import { forBread, type LevelMark } from '@tender-crumb/core/learn';
import type { StyleId, Window } from '@tender-crumb/core/style';
import type { Database } from './database/open.ts';
import type { StoredBake } from './store/bake-rows.ts';
import { bookEntries } from './store/book-entries.ts';
import { bakesBefore } from './store/book-list.ts';

/** A bake as it stands in the list of the book. */
export interface BookRow {
  readonly id: string;
  readonly name: string;
  readonly bread?: string;
  readonly startedAt: string;
  readonly day: string;
  readonly open: boolean;
  readonly outcome?: Outcome;
  readonly forecast?: LevelMark;
  readonly felt?: number;
  readonly window?: Window;
  readonly odd: boolean;
  readonly aside: boolean;
  /** In what it differed from the bake of that bread before; absent where there was none. */
  readonly differs?: readonly Difference[];
  readonly photo?: string;
}

/** So many differences say what a row has room for. */
const shown = 3;

/** Rows that were worked out, as long as nothing was said of any bake, learned, or called otherwise. */
const kept = { stamp: '', rows: new Map<string, BookRow>() };
const mostKept = 5000;

/** Changes with everything that a row is made of. */
async function stampOf(db: Database, household: Household, revision: number): Promise<string> {
  const { last } = await db
    .selectFrom('bake_event')
    .select((e) => e.fn.max<number | null>('seq').as('last'))
    .executeTakeFirstOrThrow();
  const { bags, pans, figures } = household;
  const named = [bags, pans].map((all) => all.map(({ id, name }) => [id, name]));
  return JSON.stringify([last, revision, named, figures]);
}

/** Bakes as rows of the list; those that are known are not worked out again. */
export async function bookRows(
  db: Database,
  bakes: readonly StoredBake[],
  household: Household,
  { belief, revision }: { readonly belief: Belief; readonly revision: number },
): Promise<BookRow[]> {
  const stamp = await stampOf(db, household, revision);
  if (kept.stamp !== stamp || kept.rows.size > mostKept) {
    kept.stamp = stamp;
    kept.rows.clear();
  }
  const fresh = bakes.filter((b) => !kept.rows.has(b.id));
  for (const row of await workedOut(db, fresh, household, belief)) kept.rows.set(row.id, row);
  return bakes.map((b) => kept.rows.get(b.id)!);
}

async function workedOut(
  db: Database,
  bakes: readonly StoredBake[],
  household: Household,
  belief: Belief,
): Promise<BookRow[]> {
  const ids = bakes.filter((b) => b.formulaId !== undefined).map((b) => b.id);
  const before = await bakesBefore(db, ids);
  const wanted = [...new Set([...ids, ...before.values()])];
  const photos = new Map(
    (ids.length === 0
      ? []
      : await db
          .selectFrom('photo')
          .select(['bake_id', 'id'])
          .where('bake_id', 'in', ids)
          .orderBy('at')
          .execute()
    ).map((p) => [p.bake_id, p.id]),
  );
  const entries = await bookEntries(db, { ids: wanted });
  const records = new Map(entries.map((e) => [e.id, bakeRecord(e, household)]));
  return bakes.map((bake): BookRow => {
    const { id, formulaId, formulaName, startedAt, finishedAt, outcome, lesson, circumstances } =
      bake;
    const record = records.get(id);
    const then = records.get(before.get(id) ?? '');
    const photo = photos.get(id);
    return {
      id,
      name: formulaName,
      ...(formulaId === undefined ? {} : { bread: formulaId }),
      startedAt,
      day: circumstances.day,
      open: finishedAt === undefined && bake.givenUpAt === undefined,
      ...(outcome ? { outcome } : {}),
      ...(lesson
        ? {
            forecast: lesson.mixed,
            window: windowIn(bake.style as StyleId, lesson.dryness ?? 0, {
              figures: household.figures,
              belief: forBread(belief, formulaId),
            }).window,
          }
        : {}),
      ...(lesson?.felt === undefined ? {} : { felt: lesson.felt }),
      odd: lesson?.odd ?? false,
      aside: lesson?.aside ?? false,
      ...(record && then ? { differs: differences(then, record, household).slice(0, shown) } : {}),
      ...(photo === undefined ? {} : { photo }),
    };
  });
}
