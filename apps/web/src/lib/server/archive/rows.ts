import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readdirSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { faultOf } from './described.ts';
import { ArchiveRefused } from './refused.ts';
import {
  archiveFormat,
  archiveTable,
  archiveTableNames,
  digestEntry,
  manifestEntry,
  passedOver,
  photosDigest,
  tableEntry,
  type ArchiveDigest,
  type ArchiveTableName,
  type Row,
} from './tables.ts';

/** A row may be so long, bytes: the longest formula a hundred times over. */
const longest = 4_000_000;

/** Looks whether an unpacked folder is a household's, of a version that can be read. */
export async function checkManifest(
  folder: string,
): Promise<{ readonly madeAt: string; readonly format: number }> {
  let manifest: { program?: unknown; format?: unknown; madeAt?: unknown };
  try {
    manifest = JSON.parse(await readFile(join(folder, manifestEntry), 'utf8')) as typeof manifest;
  } catch {
    throw new ArchiveRefused('It is not the file of a household that this program wrote.');
  }
  const { format } = manifest ?? {};
  if (manifest?.program !== 'tender-crumb' || !Number.isSafeInteger(format))
    throw new ArchiveRefused('It is not the file of a household that this program wrote.');
  if ((format as number) > archiveFormat)
    throw new ArchiveRefused('A newer version of the program wrote it: bring this one up to date.');
  return { madeAt: String(manifest.madeAt ?? ''), format: format as number };
}

/** Digest of a file of the folder; of nothing where it is not there. */
async function digestOf(file: string): Promise<{ sha256: string; rows: number }> {
  const hash = createHash('sha256');
  let rows = 0;
  if (existsSync(file))
    for await (const chunk of createReadStream(file)) {
      const bytes = chunk as Buffer;
      hash.update(bytes);
      for (let at = bytes.indexOf(10); at >= 0; at = bytes.indexOf(10, at + 1)) rows += 1;
    }
  return { sha256: hash.digest('hex'), rows };
}

/**
 * Looks whether all is there that was written: rows and a digest a table stand at the end of the file. The first format
 * had none.
 *
 * @throws ArchiveRefused where a table is another one than was written
 */
export async function checkDigest(folder: string, format: number): Promise<void> {
  if (format < 2) return;
  let digest: ArchiveDigest;
  try {
    digest = JSON.parse(await readFile(join(folder, digestEntry), 'utf8')) as ArchiveDigest;
  } catch {
    throw new ArchiveRefused('Its last part is missing or cannot be read: half a file.');
  }
  const folderOfPhotos = join(folder, 'photos');
  const pictures: string[] = [];
  for (const name of existsSync(folderOfPhotos) ? readdirSync(folderOfPhotos) : [])
    pictures.push(`photos/${name} ${(await digestOf(join(folderOfPhotos, name))).sha256}`);
  if (digest?.photos !== photosDigest(pictures))
    throw new ArchiveRefused('Its photos are not as they were written: one is missing or another.');
  for (const name of archiveTableNames) {
    const wanted = digest?.tables?.[name];
    const got = await digestOf(join(folder, tableEntry(name)));
    // A file from before this table was.
    if (wanted === undefined && !existsSync(join(folder, tableEntry(name)))) continue;
    if (wanted?.sha256 !== got.sha256 || wanted.rows !== got.rows)
      throw new ArchiveRefused(
        `${tableEntry(name)} is not as it was written: ${got.rows} rows, and ${wanted?.rows ?? 'no'} were meant.`,
      );
  }
}

/** A row as its table has it; what it does not know is left out, what cannot be refuses it at its field. */
function rowFrom(name: ArchiveTableName, text: string, line: number, checked: boolean): Row {
  const bad = (where: string, what: string) =>
    new ArchiveRefused(
      `${tableEntry(name)}, line ${line}${where === '' ? '' : `, ${where}`}: ${what}. Nothing was taken.`,
    );
  let read: Record<string, unknown>;
  try {
    read = JSON.parse(text) as Record<string, unknown>;
  } catch {
    throw bad('', 'it cannot be read');
  }
  if (read === null || typeof read !== 'object' || Array.isArray(read))
    throw bad('', 'it is no row');
  const row = Object.fromEntries(
    archiveTable(name).columns.map((column) => {
      const value = read[column] ?? null;
      if (value !== null && typeof value !== 'string' && typeof value !== 'number')
        throw bad(column, 'is no text and no number');
      return [column, value];
    }),
  );
  if (checked || passedOver(name, row)) return row;
  const fault = faultOf(name, row);
  if (fault) throw bad(fault.where.replace(/^row\./, ''), fault.what);
  return row;
}

/** Lines of a file, each refused at its length and not once all of it is in memory. */
async function* linesOf(file: string, name: ArchiveTableName): AsyncGenerator<string> {
  let rest: Buffer[] = [];
  let length = 0;
  let line = 1;
  for await (const chunk of createReadStream(file)) {
    let from = 0;
    const bytes = chunk as Buffer;
    for (let at = bytes.indexOf(10); at >= 0; at = bytes.indexOf(10, from)) {
      rest.push(bytes.subarray(from, at));
      yield Buffer.concat(rest).toString('utf8');
      [rest, length, from] = [[], 0, at + 1];
      line += 1;
    }
    rest.push(bytes.subarray(from));
    length += bytes.length - from;
    if (length > longest)
      throw new ArchiveRefused(
        `${tableEntry(name)}, line ${line}: longer than any row can be. Nothing was taken.`,
      );
  }
  const last = Buffer.concat(rest).toString('utf8');
  if (last !== '') yield last;
}

/**
 * Rows of a table of an unpacked folder, a page at a time, without those that are passed over.
 *
 * @param checked whether every row of that folder was looked at before
 */
export async function* archivedRows(
  folder: string,
  name: ArchiveTableName,
  { checked = false, pageOf = 500 } = {},
): AsyncGenerator<Row[]> {
  const file = join(folder, tableEntry(name));
  if (!existsSync(file)) return;
  let page: Row[] = [];
  let line = 0;
  for await (const text of linesOf(file, name)) {
    line += 1;
    if (text.trim() === '') continue;
    const row = rowFrom(name, text, line, checked);
    if (passedOver(name, row)) continue;
    page.push(row);
    if (page.length < pageOf) continue;
    yield page;
    page = [];
  }
  if (page.length > 0) yield page;
}

/** Whether anything stands in the folder that is passed over: what devices once came in with. */
export async function holdsPassedOver(folder: string): Promise<boolean> {
  const file = join(folder, tableEntry('setting'));
  return existsSync(file) && (await readFile(file, 'utf8')).includes('"kitchen-key"');
}
