/** `npm run restore [-- demo] [-- file]`: lists the copies, or puts one in the place of the data. */
import { existsSync, mkdirSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import {
  backupFolder,
  listBackups,
  restoreBackup,
} from '../apps/web/src/lib/server/database/backup.ts';
import { StorageFault } from '../apps/web/src/lib/server/database/fault.ts';
import { lockFolder } from '../apps/web/src/lib/server/database/lock.ts';
import { databaseFile } from '../apps/web/src/lib/server/kitchen.ts';

process.umask(0o077);
const given = process.argv.slice(2);
const demo = given.includes('demo');
const file = databaseFile(demo);
const named = given.find((g) => g !== 'demo');

function list(): void {
  const backups = listBackups(backupFolder(file));
  if (backups.length === 0) console.log(`There are no copies in ${backupFolder(file)}.`);
  for (const { name, reason, at } of backups) console.log(`${at}  ${reason.padEnd(13)}  ${name}`);
  if (backups[0]) {
    console.log(`\nTo put one back:  npm run restore -- ${demo ? 'demo ' : ''}${backups[0].name}`);
  }
}

function restore(name: string): void {
  const inFolder = join(backupFolder(file), name);
  const from = existsSync(inFolder) ? inFolder : resolve(name);
  if (!existsSync(from)) throw new Error(`There is no ${name}, neither here nor among the copies.`);
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const unlock = lockFolder(dirname(file));
  try {
    const aside = restoreBackup(from, file);
    console.log(`Restored from ${from}.`);
    if (aside) console.log(`What stood there before is kept: ${aside}`);
  } finally {
    unlock();
  }
}

try {
  if (named === undefined) list();
  else restore(named);
} catch (fault) {
  const served = fault instanceof StorageFault && fault.trouble === 'served';
  console.error(
    served ? 'The program is running on these data: stop it first.' : (fault as Error).message,
  );
  process.exit(fault instanceof StorageFault ? 2 : 1);
}
