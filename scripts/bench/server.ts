import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { randomBytes } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BakeEvent } from '@tender-crumb/core';
import { openDatabase } from '../../apps/web/src/lib/server/database/open.ts';
import { demoData } from '../../demo/household.ts';
import { fillDemo } from '../../apps/web/src/lib/server/demo.ts';
import { many, print, time } from './measure.ts';

const formulaCount = many(1000, 20);
const bakeCount = many(5000, 200);
const photoCount = many(500, 3);
/** A photo as it is kept, bytes. */
const photoBytes = 350_000;
const today = new Date('2026-11-20T12:00:00Z');

/** A database with copies of the demo household's formulas and bakes, lessons and all. */
async function fill(file: string): Promise<void> {
  const db = await openDatabase(file);
  await fillDemo(db, today);
  const lessons = await db
    .selectFrom('bake')
    .select(['lesson', 'felt', 'outcome', 'kitchen_id'])
    .execute();
  const data = demoData(today);
  await db.transaction().execute(async (tx) => {
    for (let n = data.formulas.length; n < formulaCount; n += 1) {
      const { formula } = data.formulas[n % data.formulas.length]!.versions[0]!;
      const at = new Date(today.getTime() - n * 3_600_000).toISOString();
      const body = JSON.stringify({ ...formula, name: `${formula.name} ${n}` });
      await tx
        .insertInto('formula')
        .values({
          id: `f${n}`,
          name: `${formula.name} ${n}`,
          style: formula.style,
          version: 1,
          created_at: at,
          updated_at: at,
        })
        .execute();
      await tx
        .insertInto('formula_version')
        .values({ formula_id: `f${n}`, version: 1, body, saved_at: at })
        .execute();
    }
    for (let n = data.bakes.length; n < bakeCount; n += 1) {
      const like = n % data.bakes.length;
      const of = 8 + (n % (formulaCount - 8));
      const at = new Date(today.getTime() - n * 600_000).toISOString();
      const { lesson, felt, outcome, kitchen_id } = lessons[like]!;
      await tx
        .insertInto('bake')
        .values({
          id: `b${n}`,
          formula_id: `f${of}`,
          formula_version: 1,
          method: 'hand',
          started_at: at,
          finished_at: at,
          felt,
          outcome,
          lesson,
          given_up_at: null,
          day: at.slice(0, 10),
          kitchen_id,
        })
        .execute();
      await tx
        .insertInto('bake_event')
        .values(
          data.bakes[like]!.events.map((e: BakeEvent, i) => ({
            id: `b${n}-${i}`,
            bake_id: `b${n}`,
            at,
            kind: e.kind,
            data: JSON.stringify(e.data),
          })),
        )
        .execute();
    }
  });
  const photos = join(file, '..', 'photos');
  mkdirSync(photos, { recursive: true });
  for (let n = 0; n < photoCount; n += 1) {
    const id = `photo${n}`;
    writeFileSync(join(photos, `${id}.jpg`), randomBytes(photoBytes));
    writeFileSync(join(photos, `${id}.small.jpg`), randomBytes(20_000));
    await db.transaction().execute((tx) =>
      tx
        .insertInto('photo')
        .values({
          id,
          bake_id: `b${data.bakes.length + n}`,
          step: 'taste',
          at: today.toISOString(),
          width: 1600,
          height: 1200,
          bytes: photoBytes,
          digest: id,
        })
        .execute(),
    );
  }
  await db.destroy();
}

/** Memory of a process that is its own, MB. */
const residentMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/** Streams everything out, and looks at the server's memory all the while. */
async function exporting(url: string, pid: number) {
  const before = residentMb(pid);
  let most = before;
  let bytes = 0;
  const begun = performance.now();
  const { body } = await fetch(`${url}/api/v1/kitchen`);
  for await (const chunk of body as unknown as AsyncIterable<Uint8Array>) {
    bytes += chunk.byteLength;
    most = Math.max(most, residentMb(pid));
  }
  return {
    median: Math.round(most - before),
    unit: 'MB',
    file: `${(bytes / 1024 ** 2).toFixed(0)} MB`,
    seconds: Number(((performance.now() - begun) / 1000).toFixed(1)),
  };
}

/** Starts the server; gives its address and how long it took to a first answer. */
async function serve(folder: string) {
  const begun = performance.now();
  const child = spawn(process.execPath, ['apps/web/build/serve.js'], {
    env: {
      ...process.env,
      PORT: '0',
      TENDER_CRUMB_DATA: folder,
      NODE_ENV: 'production',
      LOG_LEVEL: 'silent',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((done) =>
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\/\/[\d.:]+/.exec(chunk.toString());
      if (found) done(found[0]);
    }),
  );
  await (await fetch(url)).text();
  return { url, child, firstAnswer: performance.now() - begun };
}

const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-bench-'));
try {
  const file = join(folder, 'own', 'tender-crumb.db');
  await fill(file);

  const starts: number[] = [];
  for (let i = 0; i < 5; i += 1) {
    const { child, firstAnswer } = await serve(folder);
    starts.push(firstAnswer);
    const gone = new Promise((done) => child.once('exit', done));
    child.kill('SIGTERM');
    await gone;
  }
  starts.sort((a, b) => a - b);
  print({ measure: 'from start to first answer', median: Math.round(starts[2]!), unit: 'ms' });

  const { url, child } = await serve(folder);
  const get = async (path: string) => (await fetch(`${url}${path}`)).text();
  // The book that was filled in is learned first, beside the server and only once.
  while (!(JSON.parse(await get('/api/v1/learning')) as { learned: boolean }).learned)
    await new Promise((r) => setTimeout(r, 500));

  // No device is in: the frame of every page with a few sentences. Bake day would not do, empty as it
  // looks: it goes through every bake for those that are open.
  const empty = await time(() => get('/pantry/devices'), { runs: 150, warm: 60 });
  print({ measure: 'an empty page', ...empty, unit: 'ms' });
  /** A bake among those that were filled in, which are numbered on from the demo's own. */
  const one = many(900, 150);
  const pages: ReadonlyArray<readonly [string, string]> = [
    ['the shelf page', '/'],
    ['the book page', '/book'],
    ['the book, filtered by season and word', '/book?season=autumn&words=loaf'],
    ['the book, two bakes compared', `/book/compare?of=b${one},b${one + 1}`],
    ['the book, one bake', `/book/b${one}`],
  ];
  for (const [measure, path] of pages) {
    const page = await time(() => get(path), { runs: 150, warm: 60 });
    print({
      measure: `${measure}, ${formulaCount} formulas and ${bakeCount} bakes`,
      ...page,
      unit: 'ms',
      aim: '< 4 times an empty page of the same server',
      times: Number((page.median / empty.median).toFixed(1)),
    });
  }

  // Everything out: how much the server grows while it streams, and how long it takes.
  const grown = await exporting(url, child.pid!);
  print({
    measure: `everything out: ${bakeCount} bakes, ${photoCount} photos`,
    ...grown,
    aim: '< 100 MB more than before',
  });
  child.kill('SIGTERM');
} finally {
  rmSync(folder, { recursive: true, force: true });
}
