import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { openDatabase, type Database } from '../src/lib/server/database/open.ts';

/** Folder of databases that earlier versions of the program made and left behind. */
const fixtures = resolve('apps/web/test/fixtures');

/** A data folder of a test's own, gone when the test is. */
export class TestFolder {
  readonly path = mkdtempSync(join(tmpdir(), 'tender-crumb-store-'));
  readonly file = join(this.path, 'tender-crumb.db');
  readonly #open: Database[] = [];

  /** Puts a database there that an earlier version made. */
  from(fixture: string): this {
    copyFileSync(join(fixtures, fixture), this.file);
    return this;
  }

  async open(): Promise<Database> {
    const db = await openDatabase(this.file);
    this.#open.push(db);
    return db;
  }

  async end(): Promise<void> {
    for (const db of this.#open) await db.destroy().catch(() => undefined);
    rmSync(this.path, { recursive: true, force: true });
  }
}
