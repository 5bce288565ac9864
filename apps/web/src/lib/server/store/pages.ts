import type { PageRow, ScannedPage } from '@tender-crumb/core/picture';
import { sql } from 'kysely';
import { DateTime } from 'luxon';
import type { Picture } from '../boundary/picture.ts';
import { inTransaction, type Database } from '../database/open.ts';
import { currentIso, currentTime } from '../../clock.ts';
import { dropPicture, writePicture } from './picture-files.ts';

/** The photo of a page that a recipe was read from. */
export type Page = Required<ScannedPage>;

/** A photo that stands with no formula is let go of after so many days: what is being pasted is put there sooner. */
const looseDays = 30;

/** A page; undefined where there is none of that id. */
export async function readPageOf(
  db: Database,
  id: string,
): Promise<(Page & { readonly digest: string }) | undefined> {
  const row = await db
    .selectFrom('page')
    .select(['id', 'width', 'height', 'digest', 'rows'])
    .where('id', '=', id)
    .executeTakeFirst();
  return row && { ...row, rows: JSON.parse(row.rows) as PageRow[] };
}

/** Keeps a page: its picture first, so that what the database knows of is there. The same sent twice is once. */
export async function keepPage(
  db: Database,
  folder: string,
  { id, width, height, rows }: Page,
  digest: string,
  picture: Pick<Picture, 'kept' | 'small'>,
): Promise<void> {
  await writePicture(folder, id, picture);
  await inTransaction(db, (tx) =>
    tx
      .insertInto('page')
      .values({
        id,
        at: currentIso(),
        width,
        height,
        bytes: picture.kept.byteLength,
        digest,
        rows: JSON.stringify(rows),
      })
      .onConflict((c) => c.column('id').doNothing())
      .execute(),
  );
}

/** Ids of pages that stand with a formula, in any of its versions or in what was kept aside of one. */
const used = sql<string>`
  select w.value from formula_version v, json_each(json_extract(v.body, '$.pages')) w
  union select w.value from formula_aside a, json_each(json_extract(a.body, '$.pages')) w`;

/**
 * Takes a page away that stands with no formula.
 *
 * @returns whether it did: one that a formula has stays
 */
export async function dropPage(db: Database, folder: string, id: string): Promise<boolean> {
  const { numDeletedRows } = await inTransaction(db, (tx) =>
    tx
      .deleteFrom('page')
      .where('id', '=', id)
      .where(sql<boolean>`id not in (${used})`)
      .executeTakeFirst(),
  );
  if (numDeletedRows === 0n) return false;
  await dropPicture(folder, id);
  return true;
}

/** Lets go of pages that were read long ago and stand with no formula. */
export async function tidyPages(db: Database, folder: string): Promise<void> {
  const before = DateTime.fromJSDate(currentTime()).minus({ days: looseDays }).toUTC().toISO()!;
  const loose = await db
    .selectFrom('page')
    .select('id')
    .where('at', '<', before)
    .where(sql<boolean>`id not in (${used})`)
    .execute();
  for (const { id } of loose) await dropPage(db, folder, id);
}
