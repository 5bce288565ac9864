/**
 * `npm run replay FILE.zip`: goes through the book of a kitchen’s file once more, bake by bake: what would be
 * forecast, led and learned today, beside what was. Nothing is kept; what differs is marked with ≠. A file keeps
 * no lessons: what another version taught is seen by its own output of the same file.
 */
import {
  type KeptBake,
  type ReplayedBake,
  type WasAndIs,
  replayBook,
} from '@tender-crumb/core/book';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { takeArchive } from '../apps/web/src/lib/server/archive/take.ts';
import { unpack } from '../apps/web/src/lib/server/archive/unpack.ts';
import { openDatabase } from '../apps/web/src/lib/server/database/open.ts';
import { wholeBook } from '../apps/web/src/lib/server/store/bake-lessons.ts';
import { readHousehold } from '../apps/web/src/lib/server/store/household.ts';

/** Two numbers that are printed alike are the same. */
const round = (x: number, digits: number) => Number(x.toFixed(digits)).toString();

/** Both where they differ, marked; else the one. */
function beside<T>(pair: WasAndIs<T>, text: (of: T) => string): { says: string; same: boolean } {
  const is = pair.is === undefined ? 'none' : text(pair.is);
  const was = pair.was === undefined ? is : text(pair.was);
  return was === is ? { says: is, same: true } : { says: `${is} ≠ ${was}`, same: false };
}

const marked = ({ points, low, high }: { points: number; low: number; high: number }) =>
  `${round(points, 1)} (${round(low, 1)} to ${round(high, 1)})`;

function printBake(bake: ReplayedBake, name: string) {
  const forecast = beside(bake.forecast, marked);
  const mixed = beside(
    {
      ...(bake.lesson.was ? { was: bake.lesson.was.mixed } : {}),
      ...(bake.lesson.is ? { is: bake.lesson.is.mixed } : {}),
    },
    marked,
  );
  const taught = beside(bake.lesson, ({ taught: rows }) =>
    rows
      .map((t) => `${t.key} ${round(t.after.value, 4)} ± ${round(t.after.sd, 4)}`)
      .sort()
      .join(', '),
  );
  const led = bake.steps.map(({ label, planned, took, standing }) =>
    [
      label,
      planned === undefined ? '' : round(planned, 0),
      took === undefined ? '' : `(took ${round(took, 0)})`,
      standing === 'skipped' ? 'left out' : '',
    ]
      .filter(Boolean)
      .join(' '),
  );
  console.log(`${bake.day} ${name} · ${bake.id} · ${bake.device}`);
  console.log(`  forecast  ${forecast.says}`);
  console.log(`  mixed     ${mixed.says}`);
  console.log(`  led       ${led.join(' · ')}`);
  if (bake.strays.length > 0) console.log(`  tapped and not led to ≠ ${bake.strays.join(', ')}`);
  console.log(`  taught    ${taught.says || 'nothing'}`);
  return { forecast: forecast.same, led: bake.strays.length === 0 };
}

const zip = process.argv[2];
if (zip === undefined) {
  console.error('Which file? npm run replay FILE.zip');
  process.exit(1);
}
const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-replay-'));
try {
  const [unpacked, photos] = ['unpacked', 'photos'].map((name) => join(folder, name)) as [
    string,
    string,
  ];
  for (const place of [unpacked, photos]) mkdirSync(place);
  await unpack(zip, unpacked);
  const db = await openDatabase(join(folder, 'tender-crumb.db'));
  await takeArchive(db, unpacked, photos, 'theirs');
  const bakes: readonly KeptBake[] = await wholeBook(db);
  const household = await readHousehold(db);
  const names = new Map(
    (await db.selectFrom('formula').select(['id', 'name']).execute()).map((f) => [f.id, f.name]),
  );
  const same = { forecast: 0, led: 0 };
  for (const bake of replayBook(bakes, household)) {
    const alike = printBake(bake, names.get(bake.bread ?? '') ?? 'a bread');
    for (const what of ['forecast', 'led'] as const) same[what] += Number(alike[what]);
  }
  console.log(
    `${bakes.length} bakes: ${same.forecast} forecast as they were, ${same.led} led as they were tapped.`,
  );
  await db.destroy();
} catch (fault) {
  console.error((fault as Error).message);
  process.exitCode = 1;
} finally {
  rmSync(folder, { recursive: true, force: true });
}
