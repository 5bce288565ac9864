import { statSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import {
  CompiledQuery,
  type DatabaseConnection,
  type Driver,
  type QueryResult,
  type SqliteStatement,
} from 'kysely';
import { isTrouble, StorageFault } from './fault.ts';
import { openHandle, type Handle } from './handle.ts';

/** How long a change waits for a lock that somebody else holds, ms, before it says so. */
export const patienceMs = 2000;
/** Between two tries, ms; others are answered meanwhile. */
const betweenTriesMs = 25;

/** Tries again while the data are held elsewhere, without holding anybody up. */
async function patiently<T>(act: () => T, end = performance.now() + patienceMs): Promise<T> {
  for (;;) {
    try {
      return act();
    } catch (thrown) {
      if (!isTrouble(thrown, 'busy') || performance.now() >= end) throw thrown;
      await pause(betweenTriesMs);
    }
  }
}

/** A connection as Kysely sees it: it reads, until a transaction gives it the pen. */
class Connection implements DatabaseConnection {
  readonly #driver: FileDriver;
  writing = false;

  constructor(driver: FileDriver) {
    this.#driver = driver;
  }

  async executeQuery<R>({ sql, parameters }: CompiledQuery): Promise<QueryResult<R>> {
    if (this.writing) return answer<R>(this.#driver.pen.prepare(sql), parameters);
    return this.#driver.read((handle) => answer<R>(handle.prepare(sql), parameters));
  }

  async *streamQuery<R>(): AsyncIterableIterator<QueryResult<R>> {
    throw new Error('streams are not used here');
  }
}

function answer<R>(statement: SqliteStatement, parameters: readonly unknown[]): QueryResult<R> {
  if (statement.reader) return { rows: statement.all(parameters) as R[] };
  const { changes, lastInsertRowid } = statement.run(parameters);
  return {
    rows: [],
    numAffectedRows: BigInt(changes),
    insertId: BigInt(lastInsertRowid),
  };
}

/** A file as it was when it was opened: moved away or replaced, it is another one. */
const inode = (file: string): number | undefined => statSync(file, { throwIfNoEntry: false })?.ino;

/**
 * The household's file behind Kysely: one connection that reads and cannot write, and one that writes
 * in immediate transactions only, one after the other. A change that meets a lock waits for it
 * outside SQLite, so that reads and other requests are answered meanwhile.
 *
 * A prepared write that meets a held lock jams its connection for good in this driver; therefore
 * begin, commit and rollback go through `exec`, and the reading connection is `query_only`.
 */
export class FileDriver implements Driver {
  readonly #file: string;
  readonly #watched: ReadonlyArray<readonly [file: string, inode: number | undefined]>;
  readonly pen: Handle;
  #reader: Handle;
  /** Changes stand in line: each waits for the end of the one before. */
  #last: Promise<void> = Promise.resolve();
  readonly #done = new WeakMap<Connection, () => void>();

  /** Where nothing can be written: told to whoever tries. */
  readonly #refusing: (() => StorageFault) | undefined;

  constructor(file: string, refusing?: () => StorageFault) {
    this.#file = file;
    this.#refusing = refusing;
    this.pen = openHandle(file);
    this.pen.exec('PRAGMA journal_mode = WAL');
    // Every commit is on the disk before it is acknowledged.
    this.pen.exec('PRAGMA synchronous = FULL');
    this.pen.exec('PRAGMA foreign_keys = ON');
    this.#reader = this.#openReader();
    this.#watched = [file, `${file}-wal`].map((name) => [name, inode(name)] as const);
  }

  #openReader(): Handle {
    const handle = openHandle(this.#file);
    handle.exec('PRAGMA query_only = ON');
    handle.all('select count(*) from sqlite_master');
    return handle;
  }

  async init(): Promise<void> {}

  async acquireConnection(): Promise<Connection> {
    return new Connection(this);
  }

  async releaseConnection(): Promise<void> {}

  /** Reads; a connection that met a lock is replaced, since this driver may have jammed it. */
  async read<T>(ask: (handle: Handle) => T): Promise<T> {
    return patiently(() => {
      try {
        return ask(this.#reader);
      } catch (thrown) {
        if (isTrouble(thrown, 'busy')) {
          this.#reader.close();
          this.#reader = this.#openReader();
        }
        throw thrown;
      }
    });
  }

  async beginTransaction(connection: Connection): Promise<void> {
    if (this.#refusing) throw this.#refusing();
    // Patience is counted from here: nobody waits longer for standing behind somebody who waits.
    const end = performance.now() + patienceMs;
    const before = this.#last;
    let done = () => {};
    this.#last = new Promise((resolve) => (done = resolve));
    await before;
    try {
      // On an open file that was removed, SQLite would go on writing into nothing.
      if (this.#watched.some(([name, was]) => was !== undefined && inode(name) !== was)) {
        throw new StorageFault('vanished');
      }
      await patiently(() => this.pen.exec('begin immediate'), end);
    } catch (thrown) {
      done();
      throw thrown;
    }
    connection.writing = true;
    this.#done.set(connection, done);
  }

  async commitTransaction(connection: Connection): Promise<void> {
    this.pen.exec('commit');
    this.#end(connection);
  }

  async rollbackTransaction(connection: Connection): Promise<void> {
    try {
      this.pen.exec('rollback');
    } catch {
      // A full disk has SQLite roll back by itself: there is nothing left to take back.
    } finally {
      this.#end(connection);
    }
  }

  #end(connection: Connection): void {
    connection.writing = false;
    this.#done.get(connection)?.();
    this.#done.delete(connection);
  }

  /** Closes in order: what stands in the log goes into the file. */
  async destroy(): Promise<void> {
    await this.#last;
    try {
      this.pen.all('PRAGMA wal_checkpoint(TRUNCATE)');
    } catch {
      // Somebody else is reading: the log stays, and is taken in at the next start.
    }
    this.#reader.close();
    this.pen.close();
  }
}
