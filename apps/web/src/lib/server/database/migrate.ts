import { sql, type Kysely, type Migration } from 'kysely';
import { StorageFault } from './fault.ts';
import type { Schema } from './schema.ts';

/** Where the names of the changes that a file has been through are kept. */
const table = 'kysely_migration';

/** Names of the changes that a file has been through; undefined where it is not of our kind. */
export async function migrationsOf(db: Kysely<Schema>): Promise<string[] | undefined> {
  const { rows: tables } = await sql<{ name: string }>`
    select name from sqlite_master where type = 'table' and name = ${table}`.execute(db);
  if (tables.length === 0) return undefined;
  const { rows } = await sql<{ name: string }>`
    select name from ${sql.table(table)} order by name`.execute(db);
  return rows.map((r) => r.name);
}

/**
 * Names of the changes that a file still needs, in order.
 *
 * @throws StorageFault `newer` where it has been through one that is not known here
 */
export async function pendingMigrations(
  db: Kysely<Schema>,
  known: Readonly<Record<string, Migration>>,
): Promise<string[]> {
  const done = (await migrationsOf(db)) ?? [];
  if (done.some((name) => !(name in known))) throw new StorageFault('newer');
  return Object.keys(known)
    .sort()
    .filter((name) => !done.includes(name));
}

/**
 * Brings a file through the changes that are named: all of them in one transaction or none.
 * Kysely's own migrator writes outside a transaction, which a held lock would jam here for good; the
 * table is the one that it keeps.
 */
export async function migrate(
  db: Kysely<Schema>,
  known: Readonly<Record<string, Migration>>,
  names: readonly string[],
): Promise<void> {
  await db.transaction().execute(async (tx) => {
    await tx.schema
      .createTable(table)
      .ifNotExists()
      .addColumn('name', 'varchar(255)', (c) => c.notNull().primaryKey())
      .addColumn('timestamp', 'varchar(255)', (c) => c.notNull())
      .execute();
    for (const name of names) {
      await known[name]!.up(tx);
      const at = new Date().toISOString();
      await sql`insert into ${sql.table(table)} (name, timestamp) values (${name}, ${at})`.execute(
        tx,
      );
    }
  });
}
