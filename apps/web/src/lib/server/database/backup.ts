import {
  copyFileSync,
  existsSync,
  linkSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { StorageFault } from './fault.ts';
import { openHandle } from './handle.ts';
import { currentTime } from '../../clock.ts';

/** Why a copy was made: it stands in its name. */
export type BackupReason = 'nightly' | 'by-hand' | 'before-change' | 'replaced';

/** A copy of the data, as it stands in its folder. */
export interface Backup {
  readonly file: string;
  readonly name: string;
  readonly reason: BackupReason;
  /** ISO 8601, UTC, to the second. */
  readonly at: string;
}

/** Where the copies of a database file are kept. */
export const backupFolder = (file: string): string => join(dirname(file), 'backups');

const pattern =
  /^(?<reason>nightly|by-hand|before-change|replaced)-(?<stamp>\d{4}-\d\d-\d\dT\d\d-\d\d-\d\dZ)(?:-\d+)?\.db$/;

const stampOf = (at: Date): string => `${at.toISOString().slice(0, 19).replaceAll(':', '-')}Z`;

/** A name for a copy in a folder, that is not taken: two in one second get a number. */
export function freeBackupName(folder: string, reason: BackupReason, at: Date): string {
  const plain = `${reason}-${stampOf(at)}`;
  let name = `${plain}.db`;
  for (let n = 2; existsSync(join(folder, name)); n += 1) name = `${plain}-${n}.db`;
  return name;
}

/** Copies in a folder, newest first. */
export function listBackups(folder: string): Backup[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name): Backup[] => {
      const { reason, stamp } = pattern.exec(name)?.groups ?? {};
      if (!reason || !stamp) return [];
      const at = stamp.replace(/T(\d\d)-(\d\d)-(\d\d)Z/, 'T$1:$2:$3Z');
      return [{ file: join(folder, name), name, reason: reason as BackupReason, at }];
    })
    .sort((a, b) => (a.at === b.at ? (a.name < b.name ? 1 : -1) : a.at < b.at ? 1 : -1));
}

/**
 * Whether a database file is whole: SQLite's own check of every page, and of what refers to what.
 *
 * @throws StorageFault `damaged` where it is not
 */
export function checkWhole(file: string): void {
  const handle = openHandle(file);
  try {
    const pages = handle.all('PRAGMA integrity_check(1)') as Array<{ integrity_check: string }>;
    if (pages[0]?.integrity_check !== 'ok') throw new StorageFault('damaged');
    if (handle.all('PRAGMA foreign_key_check').length > 0) throw new StorageFault('damaged');
  } finally {
    handle.close();
  }
}

/**
 * Copies a database into a file of its own while it is in use, and looks whether the copy is whole
 * before it gets its name: half a copy never stands there as one.
 *
 * @param to path of the copy, which must not be there yet
 * @throws StorageFault where it cannot be read or written, or is not whole
 */
export function copyWhole(from: string, to: string): void {
  mkdirSync(dirname(to), { recursive: true, mode: 0o700 });
  const half = join(dirname(to), `.${basename(to)}.half`);
  rmSync(half, { force: true });
  const handle = openHandle(from);
  try {
    handle.exec(`VACUUM INTO '${half.replaceAll("'", "''")}'`);
    checkWhole(half);
    renameSync(half, to);
  } finally {
    handle.close();
    rmSync(half, { force: true });
  }
}

/** Where the photos of every copy are kept: each once, however many copies tell of it. */
const photoPool = (file: string): string => join(backupFolder(file), 'photos');
const photosOf = (file: string): string => join(dirname(file), 'photos');
const isPhoto = (name: string): boolean => /^[\w-]+(?:\.small)?\.jpg$/.test(name);

/** Puts the photos of one folder into another, where they are not there yet; a link where the disk knows links. */
function keepPhotos(from: string, to: string): void {
  if (!existsSync(from)) return;
  mkdirSync(to, { recursive: true, mode: 0o700 });
  for (const name of readdirSync(from)) {
    if (!isPhoto(name) || existsSync(join(to, name))) continue;
    try {
      linkSync(join(from, name), join(to, name));
    } catch {
      copyFileSync(join(from, name), join(to, name));
    }
  }
}

/** Photos that no copy tells of any more are let go of. */
function thinPhotos(file: string): void {
  const pool = photoPool(file);
  if (!existsSync(pool)) return;
  const told = new Set<string>();
  for (const copy of [file, ...listBackups(backupFolder(file)).map((b) => b.file)]) {
    if (!existsSync(copy)) continue;
    const handle = openHandle(copy);
    try {
      const rows = handle.all('select id from photo') as Array<{ id: string }>;
      for (const { id } of rows) told.add(id);
    } catch {
      // A copy from before there were photos.
    } finally {
      handle.close();
    }
  }
  for (const name of readdirSync(pool))
    if (!told.has(name.replace(/(?:\.small)?\.jpg$/, '')))
      rmSync(join(pool, name), { force: true });
}

/** What stands in a copy, for whoever chooses one. */
export interface BackupContents {
  readonly formulas: number;
  readonly bakes: number;
  readonly photos: number;
  /** ISO moment of its newest bake. */
  readonly newest?: string;
}

/** Counts what stands in a database file. */
export function contentsOf(file: string): BackupContents {
  const handle = openHandle(file);
  const count = (table: string): number => {
    try {
      const [row] = handle.all(`select count(*) as n from ${table}`) as Array<{ n: number }>;
      return Number(row?.n ?? 0);
    } catch {
      return 0;
    }
  };
  try {
    const [row] = handle.all('select max(started_at) as newest from bake') as Array<{
      newest: string | null;
    }>;
    return {
      formulas: count('formula'),
      bakes: count('bake'),
      photos: count('photo') + count('page'),
      ...(row?.newest ? { newest: row.newest } : {}),
    };
  } finally {
    handle.close();
  }
}

/** Makes a copy in the folder of copies. */
export function backUp(file: string, reason: BackupReason, at = currentTime()): string {
  const folder = backupFolder(file);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const to = join(folder, freeBackupName(folder, reason, at));
  copyWhole(file, to);
  keepPhotos(photosOf(file), photoPool(file));
  return to;
}

/** How many days, weeks and months keep a copy. */
export const kept = {
  days: 7,
  weeks: 5,
  months: 12,
  beforeChanges: 5,
  byHand: 30,
  replaced: 10,
} as const;

const dayOf = (at: string) => at.slice(0, 10);
/** Weeks are counted from a Monday, whatever the clock says of today. */
const weekOf = (at: string) => String(Math.floor((Date.parse(at) / 86_400_000 + 3) / 7));
const monthOf = (at: string) => at.slice(0, 7);

/** The newest copy of each of the newest periods in which there are copies. */
function newestOf(backups: readonly Backup[], period: (at: string) => string, most: number) {
  const newest = new Map<string, Backup>();
  for (const backup of backups) {
    const key = period(backup.at);
    if (!newest.has(key) && newest.size < most) newest.set(key, backup);
  }
  return [...newest.values()];
}

/**
 * Which nightly copies may go. Periods are counted among the copies themselves and not from today, so
 * that a clock that is set wrong makes none of them old.
 *
 * @param backups newest first
 * @example a copy each night for a year: 7 days, 5 weeks and 12 months of them stay
 */
export function toThin(backups: readonly Backup[]): Backup[] {
  const nightly = backups.filter((b) => b.reason === 'nightly');
  const others = (
    [
      ['before-change', kept.beforeChanges],
      ['by-hand', kept.byHand],
      ['replaced', kept.replaced],
    ] as const
  ).map(([reason, most]) => ({ all: backups.filter((b) => b.reason === reason), most }));
  const stay = new Set([
    ...newestOf(nightly, dayOf, kept.days),
    ...newestOf(nightly, weekOf, kept.weeks),
    ...newestOf(nightly, monthOf, kept.months),
    ...others.flatMap(({ all, most }) => all.slice(0, most)),
  ]);
  return [...nightly, ...others.flatMap((o) => o.all)].filter((b) => !stay.has(b));
}

/** Makes tonight's copy and lets go of those that are old. */
export function backUpNightly(file: string, at = currentTime()): string {
  const made = backUp(file, 'nightly', at);
  for (const { file: old } of toThin(listBackups(backupFolder(file)))) {
    // With a copy that was moved aside goes the log that was moved with it.
    if (old !== made) for (const part of ['', '-wal', '-shm']) rmSync(old + part, { force: true });
  }
  thinPhotos(file);
  return made;
}

/**
 * Sweeps what a stop in the middle left beside the data: half-made files and copies, and logs of what is there no more or
 * was closed in order. The live database's own log is never touched; nor is one that still holds something.
 */
export function sweep(file: string): void {
  const folder = dirname(file);
  const live = new Set([basename(file), `${basename(file)}-wal`, `${basename(file)}-shm`]);
  for (const place of [folder, backupFolder(file), join(folder, 'incoming')]) {
    if (!existsSync(place)) continue;
    const names = new Set(readdirSync(place));
    for (const name of names) {
      if (place === folder && live.has(name)) continue;
      const path = join(place, name);
      const base = /^(.*\.(?:db|new|half))-(?:wal|shm)$/.exec(name)?.[1];
      const half =
        /\.half(?:-wal|-shm)?$|^\.restored\.db|\.db\.new(?:-wal|-shm)?$|^out-[\w-]+\.db/.test(name);
      const orphan = base !== undefined && !names.has(base);
      const log = base === undefined ? undefined : join(place, `${base}-wal`);
      const closed =
        log !== undefined && (statSync(log, { throwIfNoEntry: false })?.size ?? 0) === 0;
      if (half || orphan || closed) rmSync(path, { force: true });
    }
  }
}

/** Whether a file has no nightly copy of this day yet, whatever other days its copies say. */
export const nightIsDue = (file: string, now = currentTime()): boolean =>
  !listBackups(backupFolder(file)).some(
    (b) => b.reason === 'nightly' && dayOf(b.at) === dayOf(now.toISOString()),
  );

/**
 * Puts a copy in the place of the data. What stood there is kept among the copies, whole or not. The
 * program must not be running: whoever calls this holds the folder's lock.
 *
 * @returns where the file that was replaced stands now
 * @throws StorageFault `damaged` where the copy is not whole; nothing is changed then
 */
export function restoreBackup(from: string, file: string, at = currentTime()): string | undefined {
  checkWhole(from);
  const folder = backupFolder(file);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const next = join(dirname(file), '.restored.db');
  rmSync(next, { force: true });
  copyWhole(from, next);
  const there = statSync(file, { throwIfNoEntry: false });
  const aside = there && join(folder, freeBackupName(folder, 'replaced', at));
  if (aside) {
    renameSync(file, aside);
    // What was written last may stand in the log alone: it goes along.
    for (const log of ['-wal', '-shm']) {
      if (existsSync(file + log)) renameSync(file + log, aside + log);
    }
  }
  renameSync(next, file);
  keepPhotos(photosOf(file), photoPool(file));
  keepPhotos(join(dirname(from), 'photos'), photosOf(file));
  keepPhotos(photoPool(file), photosOf(file));
  return aside;
}
