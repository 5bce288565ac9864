import {
  accessSync,
  chmodSync,
  constants,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  rmSync,
  statSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, dirname, join } from 'node:path';
import { Kysely, SqliteAdapter, SqliteIntrospector, SqliteQueryCompiler } from 'kysely';
import { backUp, backupFolder, checkWhole, copyWhole, listBackups, sweep } from './backup.ts';
import { FileDriver } from './driver.ts';
import { StorageFault, storageFault } from './fault.ts';
import { migrate, pendingMigrations } from './migrate.ts';
import { migrations } from './migrations/index.ts';
import type { Schema } from './schema.ts';

export type Database = Kysely<Schema>;

/**
 * A connection to a file that is open and sound already, as a thread beside the server makes one.
 *
 * @param refusing what is told to whoever wants to write, where nothing can be written
 */
export const connect = (file: string, refusing?: () => StorageFault): Database =>
  new Kysely<Schema>({
    dialect: {
      createDriver: () => new FileDriver(file, refusing),
      createQueryCompiler: () => new SqliteQueryCompiler(),
      createAdapter: () => new SqliteAdapter(),
      createIntrospector: (db) => new SqliteIntrospector(db),
    },
  });

/** A folder for its owner alone, with all that stands in it. */
function keepPrivate(folder: string): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  if (statSync(folder).mode & 0o077) chmodSync(folder, 0o700);
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isFile() && statSync(path).mode & 0o077) chmodSync(path, 0o600);
  }
}

/** Makes the folder and looks whether what stands there can be used. */
function prepareFolder(file: string): void {
  const folder = dirname(file);
  try {
    keepPrivate(folder);
    accessSync(folder, constants.W_OK);
    if (existsSync(file)) accessSync(file, constants.R_OK | constants.W_OK);
  } catch (thrown) {
    const { code } = thrown as { code?: string };
    const readonly = code === 'EACCES' || code === 'EPERM' || code === 'EROFS';
    throw new StorageFault(readonly ? 'readonly' : 'unreadable', thrown);
  }
}

/** What lies about is no reason not to open what is there. */
function sweepQuietly(file: string): void {
  try {
    sweep(file);
  } catch {
    // Tried again at the next start.
  }
}

/**
 * A new file gets its name when it is whole: an empty one under that name was emptied. It is a copy, and not renamed: this
 * driver keeps what it closed until its statements are swept up, and with it the shared memory of the name that the file
 * had. A renamed file would share none with other programs, which then write over one another.
 */
async function makeNew(file: string): Promise<void> {
  if (listBackups(backupFolder(file)).length > 0) throw new StorageFault('vanished');
  const first = `${file}.new`;
  const away = (): void => {
    for (const part of ['', '-wal', '-shm']) rmSync(first + part, { force: true });
  };
  away();
  const db = connect(first);
  await migrate(db, migrations, Object.keys(migrations).sort());
  await db.destroy();
  copyWhole(first, file);
  away();
}

/**
 * Opens the household's database: looks whether it is whole, copies it before it is changed, and
 * brings its tables up to date. Whoever calls this holds the folder's lock.
 *
 * @param file path of the database file; made where there is none
 * @throws StorageFault where it must not be used as it is; the file is then as it was
 */
export async function openDatabase(file: string): Promise<Database> {
  process.umask(0o077);
  prepareFolder(file);
  sweepQuietly(file);
  const there = statSync(file, { throwIfNoEntry: false });
  if (!there) await makeNew(file);
  else if (there.size === 0) throw new StorageFault('emptied');
  checkWhole(file);
  const pending = pendingMigrations(file, migrations);
  if (pending.length > 0) backUp(file, 'before-change');
  const db = connect(file);
  try {
    if (pending.length > 0) await migrate(db, migrations, pending);
    return db;
  } catch (thrown) {
    await db.destroy();
    throw storageFault(thrown);
  }
}

/**
 * Opens a household that can be read and not written, as on a full disk: a copy of it, elsewhere. Whoever wants to write
 * is told so.
 *
 * @param told is called at each try to write: there may be room by then
 * @throws StorageFault where there is no room elsewhere either
 */
export function openReading(file: string, told: () => void): Database {
  const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-reading-'));
  const copy = join(folder, basename(file));
  try {
    for (const part of ['', '-wal'])
      if (existsSync(file + part)) copyFileSync(file + part, copy + part);
    checkWhole(copy);
    if (pendingMigrations(copy, migrations).length > 0) throw new StorageFault('full');
    process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
    return connect(copy, () => {
      told();
      return new StorageFault('full');
    });
  } catch (thrown) {
    rmSync(folder, { recursive: true, force: true });
    throw storageFault(thrown);
  }
}

/** From which database each open transaction was opened. */
const opened = new WeakMap<Database, Database>();

/** The database that a transaction was opened from: what is known of that holds in it, as long as nothing was changed. */
export const outsideOf = (db: Database): Database => opened.get(db) ?? db;

/** One change, one transaction: opens one, or joins the one that is open. */
export const inTransaction = <T>(db: Database, change: (tx: Database) => Promise<T>): Promise<T> =>
  db.isTransaction
    ? change(db)
    : db.transaction().execute((tx) => {
        opened.set(tx, db);
        return change(tx);
      });
