/**
 * Every page and answer of the largest kitchen beside that server's own *not found*: how much longer it takes and how
 * much it sends. Of a kitchen as it grew, and of one that came in as a file and was learned there.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { bakeCount, fillLarge, formulaCount } from './large-kitchen.ts';
import { many, print, time } from './measure.ts';
import { bookLearned, residentMb, serve } from './served.ts';
import { everythingOut, takenIn } from './through-a-file.ts';

/** What a page may take of the not-found page's time, and send before it is compressed. */
const aim = { times: 4, kilobytes: 150 };
/** Asked so often, the first of which are to warm up. */
const asked = { runs: 40, warm: 8 };

const one = many(900, 150);
/** Of each view one address; of what goes through the book, the heaviest one. */
const paths = [
  '/',
  '/?find=loaf',
  '/bench/f50',
  '/bake',
  '/bake/under-way',
  '/bake/first',
  '/bake/rescue',
  '/book',
  '/book?season=autumn&words=loaf',
  '/book?year',
  `/book/b${one}`,
  `/book/compare?of=b${one},b${one + 1}`,
  '/book/drawn',
  '/book/helped',
  '/book/helped?find=loaf',
  '/book/learned',
  '/book/learned?of=cups',
  '/book/practice',
  '/book/yours',
  '/pantry',
  '/pantry/leavens',
  '/pantry/prices',
  '/pantry/figures',
  '/pantry/kitchen',
  '/pantry/devices',
  '/api/v1/shown/day',
  '/api/v1/shown/bench/f50',
  '/api/v1/shown/bake/under-way',
  '/api/v1/plans',
  '/api/v1/belief',
  '/api/v1/bakes?limit=30',
  '/api/v1/formulas?limit=100',
];

/** What everything is measured against: the least that the same server does for a page. */
const notFound = (url: string) =>
  time(async () => (await fetch(`${url}/nothing/here`)).text(), { runs: 150, warm: 60 });

async function table(kitchen: string, url: string, pid: number): Promise<void> {
  const get = async (path: string) => (await fetch(`${url}${path}`)).text();
  const nothing = await notFound(url);
  print({
    measure: `${kitchen}: the not-found page`,
    ...nothing,
    unit: 'ms',
    kilobytes: Math.round((await get('/nothing/here')).length / 1000),
  });
  for (const path of paths) {
    const text = await get(path);
    const spent = await time(() => get(path), asked);
    const times = Number((spent.median / nothing.median).toFixed(1));
    const kilobytes = Math.round(Buffer.byteLength(text) / 1000);
    print({
      measure: `${kitchen}: ${path}`,
      ...spent,
      unit: 'ms',
      times,
      kilobytes,
      compressed: Math.round(gzipSync(text).byteLength / 1000),
      aim: `< ${aim.times} times, < ${aim.kilobytes} kB`,
      ...(times < aim.times && kilobytes < aim.kilobytes ? {} : { missed: true }),
    });
  }
  await level(kitchen, get, pid);
}

/** Memory over many requests, after as many as warm everything up. */
async function level(kitchen: string, get: (path: string) => Promise<string>, pid: number) {
  const seen: number[] = [];
  const warm = many(500, 5);
  const total = many(5000, 10);
  for (let n = 0; n < warm + total; n += 1) {
    await get(paths[n % paths.length]!);
    if (n >= warm && n % many(100, 2) === 0) seen.push(residentMb(pid));
  }
  const quarter = Math.max(1, Math.floor(seen.length / 4));
  const mean = (of: readonly number[]) => of.reduce((sum, mb) => sum + mb, 0) / of.length;
  const first = mean(seen.slice(0, quarter));
  const last = mean(seen.slice(-quarter));
  print({
    measure: `${kitchen}: memory over ${total} requests, last quarter beside the first`,
    median: Number(((last / first - 1) * 100).toFixed(1)),
    unit: '%',
    aim: '± 10 %',
    first: Math.round(first),
    last: Math.round(last),
    most: Math.round(Math.max(...seen)),
  });
}

const servers: Array<Awaited<ReturnType<typeof serve>>> = [];
const started = async (folder: string) => {
  const server = await serve(folder);
  servers.push(server);
  return server;
};

const folders = ['grown', 'came'].map((name) => mkdtempSync(join(tmpdir(), `bench-${name}-`)));
try {
  const [grown, came] = folders as [string, string];
  await fillLarge(join(grown, 'own', 'tender-crumb.db'));
  const ours = await started(grown);
  const learned = await bookLearned(ours.url);
  const baseline = await notFound(ours.url);
  print({
    measure: `learning ${bakeCount} bakes beside the server`,
    median: Math.round(learned / 100) / 10,
    unit: 's',
    aim: '< 30 s',
    formulas: formulaCount,
    timesNotFound: Math.round(learned / baseline.median),
  });
  await table('grown', ours.url, ours.pid);
  const zip = join(came, 'house.zip');
  print(await everythingOut(ours.url, zip));

  const theirs = await started(came);
  print(await takenIn(theirs.url, zip));
  print({
    measure: `learning ${bakeCount} bakes that came in`,
    median: Math.round((await bookLearned(theirs.url)) / 100) / 10,
    unit: 's',
    aim: '< 30 s',
  });
  await table('came in', theirs.url, theirs.pid);
} finally {
  await Promise.all(servers.map((server) => server.end()));
  for (const folder of folders) rmSync(folder, { recursive: true, force: true });
}
