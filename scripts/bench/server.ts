import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bakeCount, fillLarge, formulaCount, photoCount } from './large-kitchen.ts';
import { many, print, time } from './measure.ts';
import { bookLearned, residentMb, serve } from './served.ts';

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

const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-bench-'));
try {
  const file = join(folder, 'own', 'tender-crumb.db');
  await fillLarge(file);

  const starts: number[] = [];
  for (let i = 0; i < 5; i += 1) {
    const { firstAnswer, end } = await serve(folder);
    starts.push(firstAnswer);
    await end();
  }
  starts.sort((a, b) => a - b);
  print({ measure: 'from start to first answer', median: Math.round(starts[2]!), unit: 'ms' });

  const { url, pid, end } = await serve(folder);
  const get = async (path: string) => (await fetch(`${url}${path}`)).text();
  // The book that was filled in is learned first, beside the server and only once.
  await bookLearned(url);

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
  const grown = await exporting(url, pid);
  print({
    measure: `everything out: ${bakeCount} bakes, ${photoCount} photos`,
    ...grown,
    aim: '< 100 MB more than before',
  });
  await end();
} finally {
  rmSync(folder, { recursive: true, force: true });
}
