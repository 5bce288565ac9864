import { test as base, expect, type Locator, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { testTime } from '../scripts/test-clock.mjs';

/** A running server with a data folder of its own. */
export interface Served {
  readonly url: string;
  readonly folder: string;
  /** The code that lets a device in. */
  readonly code: string;
  stop(signal?: NodeJS.Signals): Promise<void>;
}

/** Starts the built application on a port that is free, on a data folder that is new unless given. */
export async function serve(
  env: Record<string, string> = {},
  folder = mkdtempSync(join(tmpdir(), 'tender-crumb-e2e-')),
): Promise<Served> {
  const child = spawn(process.execPath, [resolve('apps/web/build/serve.js')], {
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: '0',
      NODE_ENV: 'production',
      TENDER_CRUMB_DATA: folder,
      TENDER_CRUMB_DEMO: '1',
      LOG_LEVEL: 'silent',
      ...env,
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const said = await new Promise<string>((done, failed) => {
    let text = '';
    child.stdout.on('data', (chunk: Buffer) => {
      text += chunk.toString();
      if (/https?:\/\/[\d.:]+\/\s/.test(text)) done(text);
    });
    child.once('exit', (code) => failed(new Error(`the server ended with ${code}: ${text}`)));
  });
  return {
    url: /https?:\/\/[\d.:]+/.exec(said)![0],
    folder,
    code: /[A-Z0-9]{4}-[A-Z0-9]{4}/.exec(said)?.[0] ?? '',
    async stop(signal = 'SIGTERM') {
      if (child.exitCode !== null || child.signalCode !== null) return;
      const gone = new Promise((done) => child.once('exit', done));
      child.kill(signal);
      await gone;
    },
  };
}

/**
 * Each browser worker has the demo household to itself: no test waits for another, two runs neither.
 * What is baked to its end teaches a household, and moves the figures of every bread with that
 * flour: tests that bake have one of their own, those of the book another, those
 * that read figures a third. Those that plan give up what is under way, and have a fourth.
 */
export const test = base.extend<
  { bench: 'plain' | 'whole' },
  { household: 'read' | 'baking' | 'book' | 'plan'; server: Served }
>({
  household: ['read', { option: true, scope: 'worker' }],
  /** How much of the bench stands open. */
  bench: ['whole', { option: true }],
  page: async ({ page, server, bench }, use) => {
    await page.context().addCookies([{ name: 'bench', value: bench, url: server.url }]);
    const thrown: string[] = [];
    page.on('pageerror', (error) => thrown.push(`${page.url()}: ${error.stack ?? error.message}`));
    await use(page);
    // A page that broke may look as if nothing were amiss.
    expect(thrown, 'errors that the page did not catch').toEqual([]);
  },
  server: [
    async ({}, use) => {
      const server = await serve();
      await use(server);
      await server.stop();
      rmSync(server.folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ server }, use) => use(server.url),
});

export { expect } from '@playwright/test';

/** What is said to be wrong; the empty place in which dragging by keys is announced is not it. */
export const alarm = (page: Page) => page.getByRole('alert').filter({ hasText: /\S/ });

/** Goes to a step of a bake on its line. */
export const toStep = async (page: Page, name: string | RegExp): Promise<void> => {
  await page
    .getByRole('navigation', { name: 'Steps of the bake' })
    .getByRole('button', { name })
    .first()
    .click();
};

/** Unfolds what a bake's page keeps back: another time, the practice devices, giving it up. */
export const unfoldMore = async (page: Page): Promise<void> => {
  const more = page.locator('details', { has: page.locator('summary', { hasText: /^More$/ }) });
  if ((await more.getAttribute('open')) === null)
    await more.getByText('More', { exact: true }).click();
};

/** Gives every bake up that is under way, so that nothing stands in a plan's way. */
export const giveUpAll = async (page: Page): Promise<void> => {
  // A plan holds so many; behind them stand the others.
  for (;;) {
    const { plans } = (await (await page.request.get('/api/v1/plans')).json()) as {
      plans: Array<{ bakeId?: string }>;
    };
    const open = plans.flatMap((p) => p.bakeId ?? []);
    if (open.length === 0) return;
    for (const bake of open) {
      const event = { id: 'given-up', at: testTime().toISOString(), kind: 'abandoned', data: {} };
      await page.request.post(`/api/v1/bakes/${bake}/events`, { data: { events: [event] } });
    }
  }
};

/** Does something to a line of the sheet, by its menu. */
export const toLine = async (page: Page, name: string, deed: string): Promise<void> => {
  await page
    .getByRole('button', { name: `What to do with ${name}`, exact: true })
    .first()
    .click();
  await page.getByRole('menuitem', { name: deed }).click();
};

/** Sets the clock that a page shows: the browser's own is behind it by what the server's clock is ahead. */
export const setClock = async (page: Page, at: string | Date): Promise<void> => {
  const html = await (await page.request.get('/pair')).text();
  const ahead = Number(/data-clock="(-?[\d.]+)"/.exec(html)![1]);
  await page.clock.setFixedTime(new Date(new Date(at).getTime() - ahead));
  // The house has the same clock: a page goes by the house's, wherever its own stands, and says so with what it sends.
  await page.addInitScript((more) => {
    const get = Headers.prototype.get;
    Headers.prototype.get = function (of) {
      return of === 'x-house-time' ? String(Date.now() + more) : get.call(this, of);
    };
    const real = globalThis.fetch;
    globalThis.fetch = (input, init) => {
      const { 'x-device-time': its, ...headers } = (init?.headers ?? {}) as Record<string, string>;
      return real(input, its === undefined ? init : { ...init, headers });
    };
  }, ahead);
};

/** Goes to a page and waits until its scripts have taken over, as a person's hands do. */
export const visit = async (page: Page, path: string): Promise<void> => {
  await page.goto(path);
  await page.locator('html[data-ready]').waitFor({ state: 'attached' });
};

/** Loads a page again, and waits as {@link visit} does: what is clicked before that is lost. */
export const reload = async (page: Page): Promise<void> => {
  await page.reload();
  await page.locator('html[data-ready]').waitFor({ state: 'attached' });
};

/** The field for a recipe; an empty kitchen has it behind its first door. */
export const recipeBox = async (page: Page): Promise<Locator> => {
  const box = page.getByRole('textbox', { name: 'One ingredient a line' });
  const door = page.getByRole('button', { name: 'I have a recipe' });
  await expect(box.or(door)).toBeVisible();
  if (await door.isVisible()) await door.click();
  return box;
};

/** Waits until the page fetches nothing more, idle as it is. */
export async function allFetched(page: Page): Promise<void> {
  let before = -1;
  await expect
    .poll(
      async () => {
        const now = await page.evaluate(() => performance.getEntriesByType('resource').length);
        const same = now === before;
        before = now;
        return same;
      },
      { intervals: [2000], timeout: 60_000 },
    )
    .toBe(true);
}
