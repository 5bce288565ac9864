import { createReadStream, existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import {
  archiveFormat,
  archiveTable,
  manifestEntry,
  tableEntry,
  type ArchiveTableName,
  type Row,
} from './tables.ts';
import { ArchiveRefused } from './unpack.ts';

/** A row may be so long, characters: the longest formula a hundred times over. */
const longest = 4_000_000;

/** Looks whether an unpacked folder is a household's, of a version that can be read. */
export async function checkManifest(folder: string): Promise<{ readonly madeAt: string }> {
  let manifest: { program?: unknown; format?: unknown; madeAt?: unknown };
  try {
    manifest = JSON.parse(await readFile(join(folder, manifestEntry), 'utf8')) as typeof manifest;
  } catch {
    throw new ArchiveRefused('It is not the file of a household that this program wrote.');
  }
  if (manifest?.program !== 'tender-crumb' || typeof manifest.format !== 'number')
    throw new ArchiveRefused('It is not the file of a household that this program wrote.');
  if (manifest.format > archiveFormat)
    throw new ArchiveRefused('A newer version of the program wrote it: bring this one up to date.');
  return { madeAt: String(manifest.madeAt ?? '') };
}

/** A row as its table has it; what it does not know is left out, what it must have and has not refuses it. */
function rowFrom(name: ArchiveTableName, text: string, line: number): Row {
  const { columns, key, sound } = archiveTable(name);
  const bad = (what: string) =>
    new ArchiveRefused(`${tableEntry(name)}, line ${line}: ${what}. Nothing was taken.`);
  if (text.length > longest) throw bad('longer than any row can be');
  let read: Record<string, unknown>;
  try {
    read = JSON.parse(text) as Record<string, unknown>;
  } catch {
    throw bad('it cannot be read');
  }
  if (read === null || typeof read !== 'object' || Array.isArray(read)) throw bad('it is no row');
  const row = Object.fromEntries(
    columns.map((column) => {
      const value = read[column] ?? null;
      if (value !== null && typeof value !== 'string' && typeof value !== 'number')
        throw bad(`its “${column}” is no text and no number`);
      return [column, value];
    }),
  );
  if (key.some((column) => row[column] === null)) throw bad('it has no name to be found by');
  try {
    sound?.(row);
  } catch {
    throw bad('what is in it cannot be read');
  }
  return row;
}

/** Rows of a table of an unpacked folder, a page at a time. */
export async function* archivedRows(
  folder: string,
  name: ArchiveTableName,
  pageOf = 500,
): AsyncGenerator<Row[]> {
  const file = join(folder, tableEntry(name));
  if (!existsSync(file)) return;
  let page: Row[] = [];
  let line = 0;
  for await (const text of createInterface({
    input: createReadStream(file),
    crlfDelay: Infinity,
  })) {
    line += 1;
    if (text.trim() === '') continue;
    page.push(rowFrom(name, text, line));
    if (page.length < pageOf) continue;
    yield page;
    page = [];
  }
  if (page.length > 0) yield page;
}
