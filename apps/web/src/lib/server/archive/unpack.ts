import { Unzip, UnzipInflate, UnzipPassThrough, type UnzipFile } from 'fflate';
import {
  closeSync,
  createReadStream,
  fstatSync,
  mkdirSync,
  openSync,
  readSync,
  rmSync,
  writeSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { archiveTableNames, manifestEntry, tableEntry } from './tables.ts';

/** A file that is not taken, in words. */
export class ArchiveRefused extends Error {}

/** What a household's file may hold at most. */
export const most = {
  /** Entries: photos, large and small, and tables. */
  entries: 250_000,
  /** Bytes of all entries when they are unpacked. */
  bytes: 6 * 1024 ** 3,
  /** Bytes of a photo. */
  photo: 20 * 1024 ** 2,
  /** Times that a file may grow when it is unpacked, once that is more than a few pages. */
  growth: 300,
} as const;
const fewPages = 16 * 1024 ** 2;

const known = new Set<string>([
  manifestEntry,
  'bakes.csv',
  'lines.csv',
  ...archiveTableNames.map(tableEntry),
]);
const isPhoto = (name: string): boolean =>
  /^photos\/[A-Za-z0-9_-]{1,80}(?:\.small)?\.jpg$/.test(name);

/** Whether a file ends as a zip does: with its directory’s last record, or that and a remark. */
function hasEnd(file: string): boolean {
  const handle = openSync(file, 'r');
  try {
    const { size } = fstatSync(handle);
    const tail = Buffer.alloc(Math.min(size, 22 + 0xffff));
    readSync(handle, tail, 0, tail.length, size - tail.length);
    const at = tail.lastIndexOf(Buffer.from([0x50, 0x4b, 5, 6]));
    return at >= 0 && at + 22 <= tail.length;
  } finally {
    closeSync(handle);
  }
}

/**
 * Unpacks a household's file into a folder, piece by piece: no entry but those that belong there, none larger than it
 * may be, nothing outside the folder.
 *
 * @throws ArchiveRefused with what is wrong with it
 */
export async function unpack(file: string, folder: string): Promise<void> {
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(join(folder, 'tables'), { recursive: true, mode: 0o700 });
  mkdirSync(join(folder, 'photos'), { recursive: true, mode: 0o700 });
  let refused: ArchiveRefused | undefined;
  const refuse = (says: string) => (refused ??= new ArchiveRefused(says));
  let entries = 0;
  let bytes = 0;
  /** Of the file itself, so far. */
  let read = 0;
  let openEntries = 0;
  const seen = new Set<string>();

  const take = (entry: UnzipFile) => {
    const { name } = entry;
    entries += 1;
    if (refused || name.endsWith('/')) return;
    if (!known.has(name) && !isPhoto(name)) {
      refuse(`“${name.slice(0, 80)}” does not belong into the file of a household.`);
      return;
    }
    if (seen.has(name)) {
      refuse(`“${name}” is in it twice.`);
      return;
    }
    seen.add(name);
    if (entries > most.entries) {
      refuse('There is too much in it.');
      return;
    }
    const path = join(folder, name);
    if (dirname(path) !== folder && !path.startsWith(folder)) return;
    const handle = openSync(path, 'wx', 0o600);
    openEntries += 1;
    let size = 0;
    const close = () => {
      openEntries -= 1;
      closeSync(handle);
    };
    entry.ondata = (error, chunk, final) => {
      if (refused) return;
      if (error) {
        refuse(`“${name}” cannot be unpacked: half a file, or a damaged one.`);
        close();
        return;
      }
      size += chunk.length;
      bytes += chunk.length;
      if (
        bytes > most.bytes ||
        (isPhoto(name) && size > most.photo) ||
        (bytes > fewPages && bytes > read * most.growth)
      ) {
        refuse('It would unpack to more than any household has.');
        close();
        return;
      }
      writeSync(handle, chunk);
      if (final) close();
    };
    entry.start();
  };

  if (!hasEnd(file)) {
    rmSync(folder, { recursive: true, force: true });
    throw new ArchiveRefused('It is no zip, or half a file: its end is missing.');
  }
  const unzip = new Unzip(take);
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  try {
    for await (const chunk of createReadStream(file, { highWaterMark: 256 * 1024 })) {
      read += (chunk as Uint8Array).length;
      unzip.push(chunk as Uint8Array, false);
      if (refused) break;
    }
    if (!refused) unzip.push(new Uint8Array(0), true);
  } catch {
    refuse('It is no zip, or a damaged one.');
  }
  if (!refused && entries === 0) refuse('It is no zip, or an empty one.');
  if (!refused && openEntries > 0) refuse('It is damaged: something in it has no end.');
  if (!refused && !seen.has(manifestEntry))
    refuse('It is not the file of a household that this program wrote.');
  if (refused) {
    rmSync(folder, { recursive: true, force: true });
    throw refused;
  }
}
