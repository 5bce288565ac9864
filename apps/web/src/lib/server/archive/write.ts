import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { createHash } from 'node:crypto';
import { sql } from 'kysely';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Database } from '../database/open.ts';
import { bookCsvPages } from './book-csv.ts';
import {
  archiveFormat,
  archiveTable,
  archiveTableNames,
  digestEntry,
  manifestEntry,
  passedOver,
  photoEntryName,
  photosDigest,
  pictured,
  tableEntry,
  type ArchiveTableName,
  type Row,
} from './tables.ts';
import { currentTime } from '../../clock.ts';

/** Rows that are in memory at once. */
const pageOf = 250;
/** The same household is the same file: nothing in it says when it was packed, but for the manifest. */
const noTime = new Date('1980-01-01T12:00:00Z');

/** Rows of a table in the order of their keys, a page at a time. */
async function* rowsOf(db: Database, name: ArchiveTableName): AsyncGenerator<Row[]> {
  const { columns, key } = archiveTable(name);
  const list = sql.join(columns.map((c) => sql.ref(c)));
  const order = sql.join(key.map((c) => sql.ref(c)));
  // From where the page before ended: counted from the beginning, each page of many would pass all before it.
  let after = sql`true`;
  for (;;) {
    const { rows } = await sql<Row>`select ${list} from ${sql.table(name)}
      where ${after} order by ${order} limit ${pageOf}`.execute(db);
    if (rows.length > 0) yield rows;
    if (rows.length < pageOf) return;
    const last = rows.at(-1)!;
    after = sql`(${order}) > (${sql.join(key.map((c) => last[c]))})`;
  }
}

/** All that the file is made of, entry by entry, each in pieces. */
async function* entries(
  db: Database,
  photos: string,
  madeAt: string,
): AsyncGenerator<{ name: string; pieces: AsyncIterable<Uint8Array>; packed: boolean }> {
  const text = new TextEncoder();
  const once = async function* (piece: Uint8Array) {
    yield piece;
  };
  yield {
    name: manifestEntry,
    packed: false,
    pieces: once(
      text.encode(
        `${JSON.stringify({ program: 'tender-crumb', format: archiveFormat, madeAt })}\n`,
      ),
    ),
  };
  const tables: Record<string, { rows: number; sha256: string }> = {};
  for (const name of archiveTableNames) {
    const hash = createHash('sha256');
    let count = 0;
    yield {
      name: tableEntry(name),
      packed: true,
      pieces: (async function* () {
        for await (const page of rowsOf(db, name)) {
          const rows = page.filter((row) => !passedOver(name, row));
          const piece = text.encode(rows.map((row) => `${JSON.stringify(row)}\n`).join(''));
          hash.update(piece);
          count += rows.length;
          yield piece;
        }
      })(),
    };
    tables[name] = { rows: count, sha256: hash.digest('hex') };
  }
  for (const csv of ['bakes', 'lines'] as const) {
    yield {
      name: `${csv}.csv`,
      packed: true,
      pieces: (async function* () {
        for await (const page of bookCsvPages(db, csv)) yield text.encode(page);
      })(),
    };
  }
  const pictures: string[] = [];
  for (const table of pictured)
    for await (const rows of rowsOf(db, table)) {
      for (const { id } of rows) {
        for (const small of [false, true]) {
          const name = photoEntryName(String(id), small);
          const bytes = await readFile(join(photos, name.slice('photos/'.length))).catch(
            () => undefined,
          );
          // A file that is gone is no reason to keep the rest back.
          if (!bytes) continue;
          pictures.push(`${name} ${createHash('sha256').update(bytes).digest('hex')}`);
          yield { name, packed: false, pieces: once(bytes) };
        }
      }
    }
  // The last of all: whoever has it has the whole file.
  yield {
    name: digestEntry,
    packed: false,
    pieces: once(text.encode(`${JSON.stringify({ tables, photos: photosDigest(pictures) })}\n`)),
  };
}

/**
 * The whole household as one zip, while the program runs: nothing of it is in memory for longer than a page.
 *
 * @param photos folder of the pictures
 */
export function archiveStream(
  db: Database,
  photos: string,
  now = currentTime(),
): ReadableStream<Uint8Array> {
  const source = entries(db, photos, now.toISOString());
  let ready: Uint8Array[] = [];
  let failed: Error | null = null;
  const zip = new Zip((error, chunk) => {
    failed ??= error;
    if (chunk.length > 0) ready.push(chunk);
  });
  let open: { file: ZipDeflate | ZipPassThrough; pieces: AsyncIterator<Uint8Array> } | undefined;
  let over = false;

  /** One step further. */
  async function step(): Promise<void> {
    if (!open) {
      const next = await source.next();
      if (next.done) {
        zip.end();
        over = true;
        return;
      }
      const { name, packed, pieces } = next.value;
      const file = packed ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
      file.mtime = noTime;
      zip.add(file);
      open = { file, pieces: pieces[Symbol.asyncIterator]() };
    }
    const piece = await open.pieces.next();
    if (piece.done) {
      open.file.push(new Uint8Array(0), true);
      open = undefined;
    } else {
      open.file.push(piece.value, false);
    }
  }

  return new ReadableStream<Uint8Array>(
    {
      async pull(controller) {
        while (ready.length === 0 && !over && !failed) await step();
        if (failed) {
          controller.error(failed);
          return;
        }
        const chunks = ready;
        ready = [];
        for (const chunk of chunks) controller.enqueue(chunk);
        if (over) controller.close();
      },
      async cancel() {
        over = true;
        await source.return(undefined);
      },
    },
    { highWaterMark: 2 },
  );
}
