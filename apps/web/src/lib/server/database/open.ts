import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { Kysely, Migrator, SqliteAdapter, SqliteDialect } from 'kysely';
import { openDriver } from './driver.ts';
import { migrations } from './migrations/index.ts';
import type { Schema } from './schema.ts';

/** Kysely leaves half a failed SQLite migration behind unless it is told that DDL is transactional. */
class TransactionalAdapter extends SqliteAdapter {
  override get supportsTransactionalDdl(): boolean {
    return true;
  }
}

class Dialect extends SqliteDialect {
  override createAdapter(): SqliteAdapter {
    return new TransactionalAdapter();
  }
}

export type Database = Kysely<Schema>;

/**
 * Opens the household's database and brings its tables up to date.
 *
 * @param file path of the database file, or `:memory:`
 * @throws Error where the file cannot be opened or a migration fails; the file is then as it was
 */
export async function openDatabase(file: string): Promise<Database> {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const db = new Kysely<Schema>({ dialect: new Dialect({ database: openDriver(file) }) });
  const migrator = new Migrator({ db, provider: { getMigrations: async () => migrations } });
  const { error } = await migrator.migrateToLatest();
  if (error) {
    await db.destroy();
    throw error;
  }
  return db;
}

/** One change, one transaction: opens one, or joins the one that is open. */
export const inTransaction = <T>(db: Database, change: (tx: Database) => Promise<T>): Promise<T> =>
  db.isTransaction ? change(db) : db.transaction().execute(change);
