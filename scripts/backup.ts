/** `npm run backup [-- demo] [-- path]`: a checked copy of the data, while the program runs or not. */
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { backUp, copyWhole } from '../apps/web/src/lib/server/database/backup.ts';
import { StorageFault } from '../apps/web/src/lib/server/database/fault.ts';
import { databaseFile } from '../apps/web/src/lib/server/kitchen.ts';

process.umask(0o077);
const given = process.argv.slice(2);
const file = databaseFile(given.includes('demo'));
const to = given.find((g) => g !== 'demo');
try {
  if (!existsSync(file)) throw new Error(`There is no data yet: ${file} is not there.`);
  if (to !== undefined && existsSync(to)) throw new Error(`${resolve(to)} is there already.`);
  if (to !== undefined) copyWhole(file, resolve(to));
  console.log(
    `Copied, and looked over: ${to === undefined ? backUp(file, 'by-hand') : resolve(to)}`,
  );
} catch (fault) {
  console.error((fault as Error).message);
  process.exit(fault instanceof StorageFault ? 2 : 1);
}
