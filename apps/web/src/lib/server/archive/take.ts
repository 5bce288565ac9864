import { bakeState, type BakeEvent } from '@tender-crumb/core/bake';
import { sql } from 'kysely';
import { existsSync } from 'node:fs';
import { copyFile, mkdir, readFile, rename } from 'node:fs/promises';
import { join } from 'node:path';
import { pictureOf } from '../boundary/picture.ts';
import { inTransaction, type Database } from '../database/open.ts';
import { eventsOf } from '../store/bake-events.ts';
import { formulaOf } from '../store/formula-body.ts';
import { wantLearning } from '../store/learning.ts';
import { archivedRows, checkDigest, checkManifest, holdsPassedOver } from './rows.ts';
import {
  archiveTable,
  archiveTableNames,
  keyOf,
  isPictured,
  photoEntryName,
  pictured,
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
  /** It holds what devices once came in with: that is passed over. */
  readonly passedOver?: true;
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

/** Whom the rows of a file may belong to: what is here, and what of the file belongs somewhere itself. */
class Owners {
  readonly #ids: ReadonlyMap<string, Set<unknown>>;
  readonly #versions: Set<string>;
  /** Formulas of the file that have a version in it: without one a formula is none. */
  readonly #versioned: ReadonlySet<unknown>;

  private constructor(
    ids: ReadonlyMap<string, Set<unknown>>,
    versions: Set<string>,
    versioned: ReadonlySet<unknown>,
  ) {
    [this.#ids, this.#versions, this.#versioned] = [ids, versions, versioned];
  }

  static async of(db: Database, folder: string): Promise<Owners> {
    const ids = new Map<string, Set<unknown>>();
    for (const table of ['bag', 'formula', 'kitchen', 'bake'] as const) {
      const { rows } = await sql<{ id: string }>`select id from ${sql.table(table)}`.execute(db);
      ids.set(table, new Set(rows.map((r) => r.id)));
    }
    const versions = await db
      .selectFrom('formula_version')
      .select(['formula_id', 'version'])
      .execute();
    const versioned = new Set<unknown>();
    // Only whose they are: they are looked at among the rest.
    for await (const rows of archivedRows(folder, 'formula_version', { checked: true }))
      for (const row of rows) versioned.add(row['formula_id']);
    return new Owners(ids, new Set(versions.map((v) => `${v.formula_id} ${v.version}`)), versioned);
  }

  /** Whether a row belongs to something; what does, others may belong to. */
  take(name: ArchiveTableName, row: Row): boolean {
    const belongs =
      (archiveTable(name).of ?? []).every(
        ([table, column]) => row[column] === null || this.#ids.get(table)!.has(row[column]),
      ) && this.#stands(name, row);
    if (!belongs) return false;
    this.#ids.get(name)?.add(row['id']);
    if (name === 'formula_version') this.#versions.add(`${row['formula_id']} ${row['version']}`);
    return true;
  }

  #stands(name: ArchiveTableName, row: Row): boolean {
    if (name === 'formula')
      return this.#ids.get(name)!.has(row['id']) || this.#versioned.has(row['id']);
    return (
      name !== 'bake' ||
      row['formula_id'] === null ||
      this.#versions.has(`${row['formula_id']} ${row['formula_version']}`)
    );
  }
}

const nameOf = (row: Row): string =>
  String(row['name'] ?? row['key'] ?? row['id'] ?? row['formula_id'] ?? '').slice(0, 80);

/** How far somebody is with a file, and a word when it is stopped: throws then. */
export type Step = (doing: string, done: number, total?: number) => Promise<void>;
const noStep: Step = async () => {};

/**
 * Looks at an unpacked file: what in it is new here, the same, or another of the same name. Every row is judged by the
 * API's own description. Nothing is changed.
 *
 * @throws ArchiveRefused where anything in it cannot be read, with its table, line and field
 */
export async function lookAt(
  db: Database,
  folder: string,
  step: Step = noStep,
): Promise<ArchiveLook> {
  const { madeAt, format } = await checkManifest(folder);
  await checkDigest(folder, format);
  const owners = await Owners.of(db, folder);
  const things: Looked[] = [];
  let gone = 0;
  for (const table of archiveTableNames) {
    const { says, part } = archiveTable(table);
    let [fresh, same, other, orphans] = [0, 0, 0, 0];
    const others: string[] = [];
    for await (const rows of archivedRows(folder, table)) {
      const known = await here(db, table, rows);
      for (const row of rows) {
        const mine = known.get(keyOf(table, row));
        if (!owners.take(table, row)) orphans += 1;
        else if (!mine) fresh += 1;
        else if (sameRow(table, mine, row)) same += 1;
        else {
          other += 1;
          if (others.length < told) others.push(nameOf(row));
        }
      }
      gone += rows.length;
      await step('Looking at each row', gone);
    }
    const count = fresh + same + other + orphans;
    if (!part && count > 0)
      things.push({ table, says: says[count === 1 ? 0 : 1], fresh, same, other, others, orphans });
  }
  const passed = await holdsPassedOver(folder);
  return { madeAt, things, ...(passed ? { passedOver: true } : {}) };
}

const insertRows = async (tx: Database, name: ArchiveTableName, rows: readonly Row[]) => {
  if (rows.length === 0) return;
  const { columns } = archiveTable(name);
  // One statement a page: one a row took half of the time that a large file takes.
  const page = JSON.stringify(rows.map((row) => columns.map((c) => row[c] ?? null)));
  const cells = columns.map((_, i) => sql`json_extract(value, ${sql.lit(`$[${i}]`)})`);
  await sql`insert into ${sql.table(name)} (${sql.join(columns.map((c) => sql.ref(c)))})
    select ${sql.join(cells)} from json_each(${page}) where true
    on conflict do nothing`.execute(tx);
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

/** Photos of the file that can be kept, put into the household's folder: before any row tells of them. */
async function takePhotos(folder: string, photos: string, step: Step): Promise<Set<string>> {
  const taken = new Set<string>();
  for (const table of pictured)
    for await (const rows of archivedRows(folder, table, { checked: true })) {
      for (const row of rows) {
        const id = String(row['id']);
        if (await takePhoto(folder, photos, id).catch(() => false)) taken.add(id);
        await step('Photos', taken.size);
      }
    }
  return taken;
}

/**
 * Puts the rows of a file that was looked at into a household in one go: all of them or none, and what was written here
 * meanwhile stays. On a copy it is the rehearsal, on the household itself the deed: the same rows by the same way.
 *
 * @param stays which of two things of one name
 * @param hasPicture photos whose pictures are there
 * @returns how many things came
 */
export const takeRows = (
  db: Database,
  folder: string,
  stays: Stays,
  hasPicture: (photo: string) => boolean,
  step: Step = noStep,
): Promise<number> =>
  inTransaction(db, async (tx) => {
    const owners = await Owners.of(tx, folder);
    let came = 0;
    let gone = 0;
    for (const table of archiveTableNames) {
      const { meeting, part } = archiveTable(table);
      for await (const rows of archivedRows(folder, table, { checked: true })) {
        const fit = rows.filter(
          (row) => owners.take(table, row) && (!isPictured(table) || hasPicture(String(row['id']))),
        );
        const known = await here(tx, table, fit);
        const fresh = fit.filter((row) => !known.has(keyOf(table, row)));
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
        gone += rows.length;
        await step('Taking it in', gone);
      }
    }
    await wantLearning(tx);
    return came;
  });

/**
 * Takes a file that was looked at and rehearsed into the household. The book is learned again afterwards.
 *
 * @param photos the household's folder of them
 */
export async function takeArchive(
  db: Database,
  folder: string,
  photos: string,
  stays: Stays,
  step: Step = noStep,
): Promise<number> {
  const taken = await takePhotos(folder, photos, step);
  return takeRows(db, folder, stays, (id) => taken.has(id), step);
}
