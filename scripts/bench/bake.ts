/** What bake day costs: a scale that speaks ten times a second to three bakes, and a long bake's fold. */
import { chromium, type Page } from '@playwright/test';
import { bakeState, type BakeEvent } from '@tender-crumb/core/bake';
import { runOf } from '@tender-crumb/core/lead';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold } from '@tender-crumb/core/household';
import { rmSync } from 'node:fs';
import { serve, unfoldMore } from '../../e2e/fixtures.ts';
import { demoBreads } from '../../demo/formulas.ts';
import { launchOptions } from '../chromium.mjs';
import { print, time } from './measure.ts';

/** A long bake: everything that can be tapped, two thousand times. */
const kinds: ReadonlyArray<(i: number) => Pick<BakeEvent, 'kind' | 'data'>> = [
  (i) => ({ kind: 'weighed', data: { item: `l${i % 40}`, grams: 100 + (i % 9), byScale: true } }),
  (i) => ({ kind: 'step', data: { step: 'bake', sense: 'longer', minutes: 1 + (i % 3) } }),
  (i) => ({ kind: 'felt', data: { points: (i % 20) - 10 } }),
  () => ({ kind: 'rise', data: { rise: 'first', sense: 'not-yet' } }),
  (i) => ({ kind: 'core', data: { celsius: 60 + (i % 40) } }),
  (i) => ({ kind: 'note', data: { step: 'bake', text: `note ${i}` } }),
  (i) => ({ kind: 'piece', data: { grams: 90 + (i % 5) } }),
  (i) => ({ kind: 'retracted', data: { event: `e${i - 3}` } }),
];
const start = Date.parse('2026-11-26T08:00:00Z');
const events = Array.from(
  { length: 2000 },
  (_, i): BakeEvent =>
    ({
      id: `e${i}`,
      at: new Date(start + i * 1000).toISOString(),
      ...kinds[i % kinds.length]!(i),
    }) as BakeEvent,
);
const json = JSON.stringify(events);
const parsing = await time(() => JSON.parse(json) as unknown, { runs: 60, warm: 20 });
print({
  measure: 'fold a bake of 2,000 events',
  ...(await time(() => bakeState(events), { runs: 60, warm: 20 })),
  unit: 'ms',
  aim: '< 5',
  baseline: 'reading the same events as JSON',
  baselineMedian: parsing.median,
});
const { formula } = demoBreads.find((b) => b.id === 'sluice-gate-plait')!;
print({
  measure: 'a bake as it is led, from its 2,000 events',
  ...(await time(
    () =>
      runOf({
        id: 'b',
        formula,
        device: 'hand',
        events,
        household: defaultHousehold,
        belief: nothingLearned,
      }),
    { runs: 40, warm: 10 },
  )),
  unit: 'ms',
});

/** An hour of a scale's readings, ten a second. */
const readings = 36_000;
/** Before it is counted, everything was drawn once and the browser has compiled it. */
const before = 2000;

interface Ticking {
  ticks: Array<() => void>;
}

/** Takes the stand-ins' clock into the bench's hand: what they do a tenth of a second apart is done at once. */
const inHand = (page: Page) =>
  page.addInitScript(() => {
    const given = window.setInterval.bind(window);
    const held: Array<() => void> = [];
    (window as unknown as Ticking).ticks = held;
    window.setInterval = ((act: () => void, ms?: number) => {
      if (ms !== 100) return given(act, ms);
      held.push(act);
      return 0;
    }) as typeof window.setInterval;
  });

/** So many readings, something poured and lifted now and then: how long the longest held the page, ms. */
const play = (page: Page, count: number) =>
  page.evaluate(async (n) => {
    const { ticks } = window as unknown as Ticking;
    const spent: number[] = [];
    for (let i = 0; i < n; i += 1) {
      // No helper of its own here: the page would not know its name.
      const wanted =
        i % 3000 === 0 ? 'Clear it' : i % 1500 === 700 ? 'the bowl' : i % 400 === 0 ? 'our' : '';
      if (wanted !== '')
        for (const b of document.querySelectorAll('details button'))
          if (b.textContent?.includes(wanted)) (b as HTMLElement).click();
      const from = performance.now();
      for (const act of ticks) act();
      // What is drawn, is drawn in a microtask.
      await Promise.resolve();
      await Promise.resolve();
      spent.push(performance.now() - from);
      // A browser draws between its frames.
      if (i % 10 === 0) await new Promise((drawn) => setTimeout(drawn));
    }
    spent.sort((a, b) => a - b);
    return { worst: spent.at(-1)!, p99: spent[Math.floor(0.99 * n)]!, median: spent[n >> 1]! };
  }, count);

const server = await serve();
const browser = await chromium.launch(launchOptions);
try {
  const context = await browser.newContext({ viewport: { width: 1024, height: 768 } });
  const pages: Page[] = [];
  for (const formulaId of ['lockside-white', 'lockside-whole', 'sluice-gate-plait']) {
    const page = await context.newPage();
    await inHand(page);
    const begun = await page.request.post(`${server.url}/api/v1/bakes`, {
      data: { formulaId, formulaVersion: 1, method: 'hand' },
    });
    const { id } = (await begun.json()) as { id: string };
    await page.goto(`${server.url}/bake/${id}`);
    await page.locator('html[data-ready]').waitFor({ state: 'attached' });
    await unfoldMore(page);
    await page.getByText('Practice scale and thermometer').click();
    await page.getByRole('button', { name: 'Switch them on' }).click();
    pages.push(page);
  }
  const used = async (page: Page): Promise<number> => {
    const session = await page.context().newCDPSession(page);
    await session.send('HeapProfiler.collectGarbage');
    const { usedSize } = await session.send('Runtime.getHeapUsage');
    await session.detach();
    return usedSize;
  };
  for (const page of pages) await play(page, before);
  const first = await Promise.all(pages.map(used));
  // One after the other, all of them open: a tablet shows one at a time, and this machine has two cores.
  const figures = [];
  for (const page of pages) figures.push(await play(page, readings));
  const last = await Promise.all(pages.map(used));
  print({
    measure:
      'an hour of a scale at 10 Hz, three bakes at once: the longest that a reading held a page',
    median: Math.max(...figures.map((f) => f.median)),
    p99: Math.max(...figures.map((f) => f.p99)),
    worst: Math.max(...figures.map((f) => f.worst)),
    unit: 'ms',
    aim: 'worst < 16',
  });
  print({
    measure: 'memory of the three pages after that hour, against before',
    median: Math.round(1000 * Math.max(...last.map((l, i) => l / first[i]! - 1))) / 10,
    unit: '%',
    aim: '< 10',
    megabytes: last.map((l) => Math.round(l / 1e5) / 10),
  });
} finally {
  await browser.close();
  await server.stop();
  rmSync(server.folder, { recursive: true, force: true });
}
