import Libsql from 'libsql';
import type { SqliteStatement } from 'kysely';
import { storageFault } from './fault.ts';

/**
 * A fence before the SQLite driver, which aborts the process or binds NULL when it is given a
 * boolean, a Date or an object.
 */
type Bindable = null | number | bigint | string | Uint8Array;

/**
 * A value as SQLite can bind it.
 *
 * @throws TypeError on anything that SQLite has no type for
 * @example bindable(true) // 1
 */
export function bindable(value: unknown): Bindable {
  if (value === undefined || value === null) return null;
  if (typeof value === 'boolean') return value ? 1 : 0;
  if (typeof value === 'number' || typeof value === 'bigint' || typeof value === 'string') {
    return value;
  }
  if (value instanceof Uint8Array) return value;
  throw new TypeError(`SQLite cannot bind ${Object.prototype.toString.call(value)}`);
}

/** What the driver throws comes out as a trouble of the data, where it is one. */
function told<T>(act: () => T): T {
  try {
    return act();
  } catch (thrown) {
    throw storageFault(thrown);
  }
}

/** One open connection to a database file. */
export interface Handle {
  exec(sql: string): void;
  all(sql: string, given?: readonly unknown[]): unknown[];
  prepare(sql: string): SqliteStatement;
  close(): void;
}

/**
 * Opens a connection. It never waits for a lock: waiting here would hold up everybody else, so that
 * whoever writes waits outside ({@link openDriver}).
 *
 * @throws StorageFault where the file cannot be opened
 */
export function openHandle(file: string): Handle {
  const database = told(() => new Libsql(file, { timeout: 0 }));
  const statements = new Map<string, SqliteStatement>();
  const prepare = (sql: string): SqliteStatement => {
    const known = statements.get(sql);
    if (known) return known;
    const statement = told(() => database.prepare(sql));
    const fenced: SqliteStatement = {
      reader: statement.reader,
      all: (given) => told(() => statement.all(given.map(bindable))),
      run: (given) => told(() => statement.run(given.map(bindable))),
      iterate: (given) => told(() => statement.iterate(given.map(bindable))),
    };
    // Statements are few and fixed; a schema change in a migration must not meet an old one.
    if (/^\s*(select|insert|update|delete|with)\b/i.test(sql)) statements.set(sql, fenced);
    return fenced;
  };
  return {
    prepare,
    exec: (sql) => told(() => void database.exec(sql)),
    all: (sql, given = []) => prepare(sql).all(given),
    close: () => void database.close(),
  };
}
