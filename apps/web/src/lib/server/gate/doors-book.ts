import { randomBytes } from 'node:crypto';
import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  writeSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { currentIso, currentTime } from '../../clock.ts';
import { storageFault } from '../database/fault.ts';
import { databaseFile } from '../kitchen.ts';
import { log } from '../log.ts';
import { once } from '../once.ts';
import type { KitchenKey } from './cookie.ts';

/** A device that was let in. */
export interface Device {
  readonly id: string;
  readonly name: string;
  readonly pairedAt: string;
  readonly seenAt: string;
}

/** Something that was written, by whom. */
export interface Written {
  /** Name of the device as it was called then. */
  readonly by: string;
  /** What was written, for the page; see writings.ts. */
  readonly what: string;
  /** When it was written last. */
  readonly at: string;
  /** How often in a row. */
  readonly times: number;
}

/**
 * Who may come in, and what cookies are signed with. It stands in a file of its own beside the data, is copied nowhere,
 * goes out with nothing, and is put back with nothing: whoever was put out stays out.
 */
interface DoorsBook {
  readonly format: 1;
  readonly key: KitchenKey;
  readonly devices: readonly Device[];
  /** The newest first. */
  readonly written: readonly Written[];
}

/** Most devices of a household. */
export const mostDevices = 100;
/** So many writings are remembered. */
const mostWritten = 100;
/** Writings of one kind by one device within this are one, ms. */
const togetherMs = 10 * 60_000;

/** Where it stands. */
export const doorsFile = (): string => join(dirname(databaseFile()), 'doors.json');

const state = once('doors-book', () => ({
  known: undefined as { readonly file: string; readonly book: DoorsBook } | undefined,
}));

const newBook = (): DoorsBook => ({
  format: 1,
  key: { id: randomBytes(4).toString('hex'), secret: randomBytes(32).toString('base64url') },
  devices: [],
  written: [],
});

const isText = (value: unknown): value is string => typeof value === 'string' && value !== '';

/** The book as it was written; undefined where the file is none. */
function bookIn(text: string): DoorsBook | undefined {
  try {
    const { format, key, devices, written } = JSON.parse(text) as Partial<DoorsBook>;
    const whole =
      format === 1 &&
      isText(key?.id) &&
      isText(key?.secret) &&
      Buffer.from(key.secret, 'base64url').length >= 32 &&
      Array.isArray(devices) &&
      devices.every((d: Partial<Device>) =>
        [d.id, d.name, d.pairedAt, d.seenAt].every((v) => isText(v)),
      );
    return whole
      ? {
          format,
          key,
          devices: devices as Device[],
          written: Array.isArray(written) ? written : [],
        }
      : undefined;
  } catch {
    return undefined;
  }
}

/** Written beside it first and named then: half a book never stands there. */
function keep(file: string, book: DoorsBook): void {
  try {
    mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
    const handle = openSync(`${file}.new`, 'w', 0o600);
    try {
      writeSync(handle, `${JSON.stringify(book, null, 1)}\n`);
      fsyncSync(handle);
    } finally {
      closeSync(handle);
    }
    renameSync(`${file}.new`, file);
  } catch (thrown) {
    throw storageFault(thrown);
  }
  state.known = { file, book };
}

/**
 * The book, made at the first call. One that cannot be read is kept beside it, and everybody pairs anew.
 *
 * @throws StorageFault where it cannot be written
 */
function read(): DoorsBook {
  const file = doorsFile();
  if (state.known?.file === file && existsSync(file)) return state.known.book;
  if (existsSync(file)) {
    const book = bookIn(readFileSync(file, 'utf8'));
    if (book) {
      state.known = { file, book };
      return book;
    }
    renameSync(file, `${file}.damaged`);
    log.warn({}, 'who may come in could not be read: every device pairs anew');
  }
  const made = newBook();
  keep(file, made);
  return made;
}

const change = (edit: (book: DoorsBook) => Partial<DoorsBook>): void => {
  const book = read();
  keep(doorsFile(), { ...book, ...edit(book) });
};

/** What this kitchen signs its devices' cookies with. */
export const kitchenKey = (): KitchenKey => read().key;

/** Devices, those seen last first. */
export const listDevices = (): Device[] =>
  [...read().devices].sort((a, b) => (a.seenAt < b.seenAt ? 1 : -1));

export const deviceOf = (id: string): Device | undefined => read().devices.find((d) => d.id === id);

/** Lets a device in; undefined where there are too many. */
export function addDevice(name: string): Device | undefined {
  const { devices } = read();
  if (devices.length >= mostDevices) return undefined;
  const now = currentIso();
  const device = { id: randomBytes(12).toString('hex'), name, pairedAt: now, seenAt: now };
  change(() => ({ devices: [...devices, device] }));
  return device;
}

export function renameDevice(id: string, name: string): boolean {
  if (!deviceOf(id)) return false;
  change(({ devices }) => ({ devices: devices.map((d) => (d.id === id ? { ...d, name } : d)) }));
  return true;
}

/** Forgets a device: its cookie opens nothing any more. */
export function forgetDevice(id: string): boolean {
  if (!deviceOf(id)) return false;
  change(({ devices }) => ({ devices: devices.filter((d) => d.id !== id) }));
  return true;
}

/** Notes that a device was here, once an hour at most. */
export function seeDevice({ id, seenAt }: Device, now = currentTime()): void {
  if (Math.abs(now.getTime() - Date.parse(seenAt)) < 3_600_000) return;
  change(({ devices }) => ({
    devices: devices.map((d) => (d.id === id ? { ...d, seenAt: now.toISOString() } : d)),
  }));
}

/** What was written here, the newest first. */
export const listWritten = (): readonly Written[] => read().written;

/** Adds a writing to those that are remembered; more of the same soon after is one with it. */
export function withWriting(
  written: readonly Written[],
  { by, what, at }: Omit<Written, 'times'>,
): readonly Written[] {
  const [last, ...rest] = written;
  const together =
    last?.by === by &&
    last.what === what &&
    Math.abs(Date.parse(at) - Date.parse(last.at)) < togetherMs;
  return together
    ? [{ ...last, at, times: last.times + 1 }, ...rest]
    : [{ by, what, at, times: 1 }, ...written.slice(0, mostWritten - 1)];
}

/** Remembers who wrote what. Losing that in a crash is no loss of anybody's work: it is written now and then. */
export function noteWriting(by: string, what: string): void {
  const file = doorsFile();
  let book: DoorsBook;
  try {
    book = read();
  } catch {
    // A full disk, and no book yet: what was written matters more than who wrote it.
    return;
  }
  state.known = {
    file,
    book: { ...book, written: withWriting(book.written, { by, what, at: currentIso() }) },
  };
  timers.soon ??= setTimeout(() => {
    timers.soon = undefined;
    keepWritten();
  }, 5000).unref();
}
const timers = once('doors-book-timer', () => ({ soon: undefined as NodeJS.Timeout | undefined }));

/** Writes down what is remembered; before the process ends, say. */
export function keepWritten(): void {
  clearTimeout(timers.soon);
  timers.soon = undefined;
  const { known } = state;
  try {
    if (known && existsSync(known.file)) keep(known.file, known.book);
  } catch {
    // A full disk: who wrote what is the least of it.
  }
}

/** Forgets the book that is in memory; for when its file was taken away. */
export const closeDoorsBook = (): void => {
  clearTimeout(timers.soon);
  timers.soon = undefined;
  state.known = undefined;
};
