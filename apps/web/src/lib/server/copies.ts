import { modelVersion } from '@tender-crumb/core/learn';
import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import {
  backupFolder,
  contentsOf,
  listBackups,
  restoreBackup,
  type BackupContents,
  type BackupReason,
} from './database/backup.ts';
import { closeDoorsBook } from './gate/doors-book.ts';
import { learnSoon } from './jobs/learning.ts';
import { databaseFile, kitchen, withClosedKitchen } from './kitchen.ts';
import { Problem } from './problem.ts';
import { wantLearningBy } from './store/learning.ts';

/** A copy of the data, for the page. */
export interface Copy extends BackupContents {
  readonly name: string;
  readonly reason: BackupReason;
  readonly at: string;
  readonly bytes: number;
}

/** Copies that there are, newest first, each with what stands in it. */
export const listCopies = (file = databaseFile()): Copy[] =>
  listBackups(backupFolder(file)).flatMap(({ name, reason, at, file: copy }) => {
    try {
      return [{ name, reason, at, bytes: statSync(copy).size, ...contentsOf(copy) }];
    } catch {
      // One that cannot be read is not offered.
      return [];
    }
  });

/**
 * Puts a copy in the place of the data, while the program runs. What stood there becomes a copy itself.
 *
 * @throws Problem 404 where there is no such copy
 */
export async function putBack(name: string): Promise<void> {
  const file = databaseFile();
  const copy = listBackups(backupFolder(file)).find((b) => b.name === name);
  if (!copy)
    throw new Problem(404, 'No such copy', [{ where: 'body.name', what: 'no copy of that name' }]);
  await withClosedKitchen((at) => restoreBackup(copy.file, at));
  const db = await kitchen();
  await wantLearningBy(db, modelVersion);
  await learnSoon(db, file);
}

/** Takes everything away: the data, the photos, every copy. There is no way back. */
export async function takeAllAway(): Promise<void> {
  await withClosedKitchen((file) => {
    const folder = dirname(file);
    if (!existsSync(folder)) return;
    // What holds the folder stays, so that no second program comes in between.
    const ours =
      /^(?:tender-crumb\.db(?:-wal|-shm)?|doors\.json(?:\.damaged)?|photos|backups|incoming)$/;
    for (const name of readdirSync(folder))
      if (ours.test(name)) rmSync(join(folder, name), { recursive: true, force: true });
    closeDoorsBook();
  });
  await kitchen();
}
