import Libsql from 'libsql';
import type { SqliteDatabase, SqliteStatement } from 'kysely';

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

export interface FencedDatabase extends SqliteDatabase {
  exec(sql: string): void;
}

/** Opens a database file (or `:memory:`) in WAL mode, every commit on the disk before it is acknowledged. */
export function openDriver(file: string): FencedDatabase {
  const database = new Libsql(file, { timeout: 5000 });
  database.exec('PRAGMA journal_mode = WAL');
  database.exec('PRAGMA synchronous = FULL');
  database.exec('PRAGMA foreign_keys = ON');
  const statements = new Map<string, SqliteStatement>();
  return {
    exec: (sql) => void database.exec(sql),
    close: () => void database.close(),
    prepare: (sql) => {
      const known = statements.get(sql);
      if (known) return known;
      const statement = database.prepare(sql);
      const fenced: SqliteStatement = {
        reader: statement.reader,
        all: (given) => statement.all(given.map(bindable)),
        run: (given) => statement.run(given.map(bindable)),
        iterate: (given) => statement.iterate(given.map(bindable)),
      };
      // Statements are few and fixed; a schema change in a migration must not meet an old one.
      if (/^\s*(select|insert|update|delete|with)\b/i.test(sql)) statements.set(sql, fenced);
      return fenced;
    },
  };
}
