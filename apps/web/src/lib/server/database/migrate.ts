import { sql, type Kysely, type Migration } from 'kysely';
import { StorageFault } from './fault.ts';
import { openHandle } from './handle.ts';
import type { Schema } from './schema.ts';
import { currentIso } from '../../clock.ts';

/** Where the names of the changes that a file has been through are kept. */
const table = 'kysely_migration';

/**
 * Names of the changes that a file still needs, in order. It only looks: a file that is not to be
 * used stays as it is, to the last byte.
 *
 * @throws StorageFault `emptied` where it is not of our kind, `newer` where it has been through a
 *   change that is not known here
 */
export function pendingMigrations(
  file: string,
  known: Readonly<Record<string, Migration>>,
): string[] {
  const handle = openHandle(file);
  try {
    const tables = handle.all("select name from sqlite_master where type = 'table' and name = ?", [
      table,
    ]);
    if (tables.length === 0) throw new StorageFault('emptied');
    const rows = handle.all(`select name from ${table}`) as Array<{ name: string }>;
    const done = new Set(rows.map((r) => r.name));
    if ([...done].some((name) => !(name in known))) throw new StorageFault('newer');
    return Object.keys(known)
      .sort()
      .filter((name) => !done.has(name));
  } finally {
    handle.close();
  }
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
      const at = currentIso();
      await sql`insert into ${sql.table(table)} (name, timestamp) values (${name}, ${at})`.execute(
        tx,
      );
    }
  });
}
