import { bakeState, type BakeEvent } from '@tender-crumb/core';
import { sql } from 'kysely';
import { existsSync } from 'node:fs';
import { copyFile, mkdir, readFile, rename } from 'node:fs/promises';
import { join } from 'node:path';
import { pictureOf } from '../boundary/picture.ts';
import { inTransaction, type Database } from '../database/open.ts';
import { eventsOf } from '../store/bake-events.ts';
import { formulaOf } from '../store/formula-body.ts';
import { wantLearning } from '../store/learning.ts';
import { archivedRows, checkManifest } from './rows.ts';
import {
  archiveTable,
  archiveTableNames,
  keyOf,
  photoEntryName,
  sameRow,
  type ArchiveTableName,
  type Row,
} from './tables.ts';

/** Which of two stays where a thing is here already and another one comes. */
export type Stays = 'ours' | 'theirs';

/** What a file would do to one kind of thing. */
export interface Looked {
  readonly table: ArchiveTableName;
  readonly says: string;
  readonly fresh: number;
  readonly same: number;
  /** Here is another one of the same name. */
  readonly other: number;
  /** Names of some of those. */
  readonly others: readonly string[];
  /** They belong to nothing that is here or comes. */
  readonly orphans: number;
}

/** What a file is, and what would come of it. */
export interface ArchiveLook {
  readonly madeAt: string;
  readonly things: readonly Looked[];
}

/** So many names of what stands in the way are told. */
const told = 5;

/** Rows that are here, of those keys. */
async function here(
  db: Database,
  name: ArchiveTableName,
  rows: readonly Row[],
): Promise<ReadonlyMap<string, Row>> {
  const { columns, key } = archiveTable(name);
  const list = sql.join(columns.map((c) => sql.ref(c)));
  const [first] = key;
  const wanted = JSON.stringify([...new Set(rows.map((r) => r[first!]))]);
  const found = await sql<Row>`select ${list} from ${sql.table(name)}
    where ${sql.ref(first!)} in (select value from json_each(${wanted}))`.execute(db);
  return new Map(found.rows.map((row) => [keyOf(name, row), row]));
}

/** Keys of the rows that others may belong to: here, or in the file. */
async function owners(
  db: Database,
  folder: string,
  name: ArchiveTableName,
): Promise<(row: Row) => boolean> {
  const all: Array<(row: Row) => boolean> = [];
  for (const [table, column] of archiveTable(name).of ?? []) {
    const ids = new Set<unknown>();
    const { rows } = await sql<{ id: string }>`select id from ${sql.table(table)}`.execute(db);
    for (const { id } of rows) ids.add(id);
    for await (const page of archivedRows(folder, table as ArchiveTableName))
      for (const row of page) ids.add(row['id']);
    all.push((row) => row[column] === null || ids.has(row[column]));
  }
  return (row) => all.every((belongs) => belongs(row));
}

const nameOf = (row: Row): string =>
  String(row['name'] ?? row['key'] ?? row['id'] ?? row['formula_id'] ?? '').slice(0, 80);

/**
 * Looks at an unpacked file: what in it is new here, the same, or another of the same name. Nothing is changed.
 *
 * @throws ArchiveRefused where anything in it cannot be read
 */
export async function lookAt(db: Database, folder: string): Promise<ArchiveLook> {
  const { madeAt } = await checkManifest(folder);
  const things: Looked[] = [];
  for (const table of archiveTableNames) {
    const { says, part } = archiveTable(table);
    const belongs = await owners(db, folder, table);
    let [fresh, same, other, orphans] = [0, 0, 0, 0];
    const others: string[] = [];
    for await (const rows of archivedRows(folder, table)) {
      const known = await here(db, table, rows);
      for (const row of rows) {
        const mine = known.get(keyOf(table, row));
        if (!belongs(row)) orphans += 1;
        else if (!mine) fresh += 1;
        else if (sameRow(table, mine, row)) same += 1;
        else {
          other += 1;
          if (others.length < told) others.push(nameOf(row));
        }
      }
    }
    const count = fresh + same + other + orphans;
    if (!part && count > 0)
      things.push({ table, says: says[count === 1 ? 0 : 1], fresh, same, other, others, orphans });
  }
  return { madeAt, things };
}

const insertRows = async (tx: Database, name: ArchiveTableName, rows: readonly Row[]) => {
  const { columns } = archiveTable(name);
  for (const row of rows) {
    await sql`insert into ${sql.table(name)} (${sql.join(columns.map((c) => sql.ref(c)))})
      values (${sql.join(columns.map((c) => row[c] ?? null))})
      on conflict do nothing`.execute(tx);
  }
};

const replaceRow = async (tx: Database, name: ArchiveTableName, row: Row) => {
  const { columns, key } = archiveTable(name);
  const set = columns.filter((c) => !key.includes(c));
  await sql`update ${sql.table(name)}
    set ${sql.join(set.map((c) => sql`${sql.ref(c)} = ${row[c] ?? null}`))}
    where ${sql.join(
      key.map((c) => sql`${sql.ref(c)} = ${row[c] ?? null}`),
      sql` and `,
    )}`.execute(tx);
};

/** Another version of that number is here: what comes is put on top as the newest, and nothing is overwritten. */
async function versionOnTop(tx: Database, row: Row): Promise<void> {
  const { newest } = await tx
    .selectFrom('formula_version')
    .select((e) => e.fn.max<number>('version').as('newest'))
    .where('formula_id', '=', String(row['formula_id']))
    .executeTakeFirstOrThrow();
  await insertRows(tx, 'formula_version', [{ ...row, version: Number(newest) + 1 }]);
}

/** Heads of formulas follow their newest version; bakes their events. */
async function settleHeads(tx: Database, formulas: ReadonlySet<string>): Promise<void> {
  for (const id of formulas) {
    const newest = await tx
      .selectFrom('formula_version')
      .select(['version', 'body', 'saved_at'])
      .where('formula_id', '=', id)
      .orderBy('version', 'desc')
      .limit(1)
      .executeTakeFirst();
    if (!newest) continue;
    const { name, style } = formulaOf(newest.body);
    await tx
      .updateTable('formula')
      .set({ name, style, version: newest.version, updated_at: newest.saved_at })
      .where('id', '=', id)
      .execute();
  }
}

async function settleBakes(tx: Database, bakes: readonly string[]): Promise<void> {
  const events = await eventsOf(tx, bakes);
  for (const id of bakes) {
    const state = bakeState((events.get(id) ?? []) as readonly BakeEvent[]);
    await tx
      .updateTable('bake')
      .set({
        finished_at: state.finishedAt ?? null,
        given_up_at: state.finishedAt ? null : (state.abandonedAt ?? null),
        felt: state.felt.at(-1)?.points ?? null,
        outcome: state.outcome ? JSON.stringify(state.outcome) : null,
      })
      .where('id', '=', id)
      .execute();
  }
}

/** A photo of the file is looked at as any that is sent: by its content, whatever it is called. */
async function takePhoto(folder: string, photos: string, id: string): Promise<boolean> {
  await mkdir(photos, { recursive: true, mode: 0o700 });
  for (const small of [false, true]) {
    const name = photoEntryName(id, small);
    const from = join(folder, name);
    const to = join(photos, name.slice('photos/'.length));
    if (existsSync(to)) continue;
    if (!existsSync(from)) return false;
    await pictureOf(await readFile(from));
    await copyFile(from, `${to}.new`);
    await rename(`${to}.new`, to);
  }
  return true;
}

/**
 * Takes an unpacked file into the household, a page in a transaction: whatever happens in between, taking it once more
 * goes on where it stopped. The book is learned again afterwards.
 *
 * @param stays which of two things of one name
 * @param report how many rows were gone through
 * @returns how many things came
 */
export async function takeArchive(
  db: Database,
  folder: string,
  photos: string,
  stays: Stays,
  report: (rows: number) => void = () => {},
): Promise<number> {
  await lookAt(db, folder);
  let came = 0;
  let gone = 0;
  for (const table of archiveTableNames) {
    const { meeting, part } = archiveTable(table);
    const belongs = await owners(db, folder, table);
    for await (const rows of archivedRows(folder, table)) {
      const fit = rows.filter(belongs);
      const pictured = new Set<string>();
      if (table === 'photo')
        for (const row of fit)
          if (await takePhoto(folder, photos, String(row['id'])).catch(() => false))
            pictured.add(String(row['id']));
      await inTransaction(db, async (tx) => {
        const known = await here(tx, table, fit);
        const fresh = fit.filter(
          (row) =>
            !known.has(keyOf(table, row)) && (table !== 'photo' || pictured.has(String(row['id']))),
        );
        await insertRows(tx, table, fresh);
        if (!part) came += fresh.length;
        if (meeting === 'asked' && stays === 'theirs') {
          for (const row of fit) {
            const mine = known.get(keyOf(table, row));
            if (!mine || sameRow(table, mine, row)) continue;
            if (table === 'formula_version') await versionOnTop(tx, row);
            else await replaceRow(tx, table, row);
            came += 1;
          }
        }
        if (table === 'formula_version')
          await settleHeads(tx, new Set(fit.map((row) => String(row['formula_id']))));
        if (table === 'bake_event')
          await settleBakes(tx, [...new Set(fit.map((row) => String(row['bake_id'])))]);
      });
      gone += rows.length;
      report(gone);
    }
  }
  await inTransaction(db, (tx) => wantLearning(tx));
  return came;
}
