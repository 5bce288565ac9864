import { homedir } from 'node:os';
import { join } from 'node:path';
import { openDatabase, type Database } from './database/open.ts';

/** Whether this run is of the invented household. */
export const isDemo = (): boolean => process.env['TENDER_CRUMB_DEMO'] === '1';

/** The database file: in `TENDER_CRUMB_DATA`, demo and own data each in a folder of its own. */
export const databaseFile = (): string =>
  join(
    process.env['TENDER_CRUMB_DATA'] || join(homedir(), '.tender-crumb'),
    isDemo() ? 'demo' : 'own',
    'tender-crumb.db',
  );

let opened: Promise<Database> | undefined;

/** The household's database, opened at the first call. */
export const kitchen = (): Promise<Database> => (opened ??= openDatabase(databaseFile()));

/** Closes the database; for an orderly end of the process. */
export async function closeKitchen(): Promise<void> {
  const db = await opened;
  opened = undefined;
  await db?.destroy();
}
