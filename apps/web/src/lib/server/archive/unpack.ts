import { configure, Reader, ZipReader, type FileEntry } from '@zip.js/zip.js';
import { closeSync, fstatSync, mkdirSync, openSync, readSync, rmSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { ArchiveRefused } from './refused.ts';
import { archiveTableNames, digestEntry, manifestEntry, tableEntry } from './tables.ts';

configure({ useWebWorkers: false });

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
  digestEntry,
  'bakes.csv',
  'lines.csv',
  ...archiveTableNames.map(tableEntry),
]);
const isPhoto = (name: string): boolean =>
  /^photos\/[A-Za-z0-9_-]{1,80}(?:\.small)?\.jpg$/.test(name);

/** A file on the disk, of which only what is asked for is in memory. */
class OnDisk extends Reader<string> {
  readonly #handle: number;

  constructor(file: string) {
    super(file);
    this.#handle = openSync(file, 'r');
    this.size = fstatSync(this.#handle).size;
  }

  override async readUint8Array(index: number, length: number): Promise<Uint8Array> {
    const bytes = new Uint8Array(Math.max(0, Math.min(length, this.size - index)));
    readSync(this.#handle, bytes, 0, bytes.length, index);
    return bytes;
  }

  close(): void {
    closeSync(this.#handle);
  }
}

/** Writes an entry to its place, and looks how large it gets. */
async function write(entry: FileEntry, path: string, mayTake: (bytes: number) => void) {
  const handle = openSync(path, 'wx', 0o600);
  try {
    await entry.getData(
      new WritableStream<Uint8Array>({
        write(chunk) {
          mayTake(chunk.length);
          writeSync(handle, chunk);
        },
      }),
      // Each entry against its own checksum, and no two in one place.
      { checkSignature: true, checkOverlappingEntry: true },
    );
  } finally {
    closeSync(handle);
  }
}

/**
 * Unpacks a household's file into a folder: no entry but those that belong there, none larger than it may be, each
 * against its checksum, nothing outside the folder.
 *
 * @throws ArchiveRefused with what is wrong with it
 */
export async function unpack(
  file: string,
  folder: string,
  step: (done: number, total: number) => Promise<void> = async () => {},
): Promise<void> {
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(join(folder, 'tables'), { recursive: true, mode: 0o700 });
  mkdirSync(join(folder, 'photos'), { recursive: true, mode: 0o700 });
  const disk = new OnDisk(file);
  let bytes = 0;
  const tooMuch = 'It would unpack to more than any household has.';
  const refuse = (says: string): never => {
    throw new ArchiveRefused(says);
  };
  try {
    const zip = new ZipReader(disk);
    const entries = await zip
      .getEntries()
      .catch(() => refuse('This is no zip file, or it is half a file.'));
    if (entries.length > most.entries) refuse('There is too much in it.');
    const seen = new Set<string>();
    for (const [i, entry] of entries.entries()) {
      const name = entry.filename;
      // By its name alone: a bit of its attributes must not make a table, or a photo, be passed over.
      if (name.endsWith('/')) continue;
      if (!known.has(name) && !isPhoto(name))
        refuse(`“${name.slice(0, 80)}” does not belong into the file of a household.`);
      if (seen.has(name)) refuse(`“${name}” is in it twice.`);
      seen.add(name);
      let size = 0;
      try {
        await write(entry as FileEntry, join(folder, name), (more) => {
          size += more;
          bytes += more;
          if (
            bytes > most.bytes ||
            (isPhoto(name) && size > most.photo) ||
            (bytes > fewPages && bytes > disk.size * most.growth)
          )
            refuse(tooMuch);
        });
      } catch (fault) {
        if (fault instanceof ArchiveRefused) throw fault;
        refuse(`“${name}” cannot be unpacked: half a file, or a damaged one.`);
      }
      await step(i + 1, entries.length);
    }
    if (entries.length === 0) refuse('It is no zip, or an empty one.');
    if (!seen.has(manifestEntry))
      refuse('It is not the file of a household that this program wrote.');
  } catch (fault) {
    rmSync(folder, { recursive: true, force: true });
    throw fault;
  } finally {
    disk.close();
  }
}
