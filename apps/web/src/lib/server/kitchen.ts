import { existsSync, mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { dataFolder } from './data-folder.ts';
import { isTrouble, StorageFault, storageFault } from './database/fault.ts';
import { lockFolder } from './database/lock.ts';
import { openDatabase, openReading, type Database } from './database/open.ts';
import { once } from './once.ts';

/** Whether this run is of the invented household. */
export const isDemo = (): boolean => process.env['TENDER_CRUMB_DEMO'] === '1';

/** The database file: in `TENDER_CRUMB_DATA`, demo and own data each in a folder of its own. */
export const databaseFile = (demo = isDemo()): string =>
  join(dataFolder(), demo ? 'demo' : 'own', 'tender-crumb.db');

interface Opened {
  readonly db: Database;
  readonly unlock: () => void;
}

const state = once('kitchen', () => ({ opened: undefined as Promise<Opened> | undefined }));

async function open(): Promise<Opened> {
  const file = databaseFile();
  let unlock = () => {};
  try {
    if (!existsSync(dirname(file))) mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
    unlock = lockFolder(dirname(file));
    return { db: await openDatabase(file), unlock };
  } catch (thrown) {
    unlock();
    const { code = '' } = thrown as { code?: string };
    const fault = /^E(?:ACCES|PERM|ROFS)$/.test(code)
      ? new StorageFault('readonly', thrown)
      : storageFault(thrown);
    // What cannot be written can be read: the next try to write looks whether there is room by then.
    if (isTrouble(fault, 'full') && existsSync(file)) {
      try {
        return { db: openReading(file, () => void closeKitchen()), unlock: () => {} };
      } catch {
        // No room anywhere: then it is said.
      }
    }
    throw fault;
  }
}

/**
 * The household's database, opened at the first call; where that failed, the next call tries again,
 * so that what was mended meanwhile is found.
 *
 * @throws StorageFault where it must not be used as it is
 */
export async function kitchen(): Promise<Database> {
  const opening = (state.opened ??= open());
  try {
    return (await opening).db;
  } catch (thrown) {
    if (state.opened === opening) state.opened = undefined;
    throw thrown;
  }
}

/**
 * Does something to the files while no connection has them open; the next one opens what stands there then. Who asks
 * meanwhile waits for it.
 */
export async function withClosedKitchen<T>(change: (file: string) => T): Promise<T> {
  const file = databaseFile();
  await closeKitchen();
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const unlock = lockFolder(dirname(file));
  try {
    return change(file);
  } finally {
    unlock();
  }
}

/** Closes the database; for an orderly end of the process. */
export async function closeKitchen(): Promise<void> {
  const opening = state.opened;
  state.opened = undefined;
  const opened = await opening?.catch(() => undefined);
  await opened?.db.destroy();
  opened?.unlock();
}
