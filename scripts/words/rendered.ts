/** What the pages say, of a full kitchen and of an empty one, and each step of a bake. */
import { chromium, type Browser, type Page } from '@playwright/test';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { serve } from '../../e2e/fixtures.ts';
import { launchOptions } from '../chromium.mjs';
import { root } from '../root.mjs';
import { places, type Place } from './places.ts';
import { seenOn } from './seen.ts';

const frozenAt = '2026-11-26T09:00:00Z';
const frozen = {
  TENDER_CRUMB_NOW: '',
  FROZEN_AT: frozenAt,
  NODE_OPTIONS: `--import=${join(root, 'scripts/golden/frozen-clock.mjs')}`,
};

export interface Said {
  readonly name: string;
  readonly view: Place['view'];
  readonly blocks: readonly string[];
  /** What ears are told, as the tree of the page has it. */
  readonly heard: string;
}

async function visit(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.locator('html[data-ready]').waitFor({ state: 'attached' });
}

/** Waits until it says nothing else than a moment ago. */
async function still(page: Page): Promise<string[]> {
  let before = '';
  for (let i = 0; i < 60; i += 1) {
    await page.waitForTimeout(150);
    const now = await seenOn(page);
    const text = now.join('\n');
    const busy = /One moment|Working the times out|Getting ready|Saving|Looking for/u.test(text);
    if (text === before && !busy) return now;
    before = text;
  }
  return before.split('\n');
}

async function look(page: Page, name: string, view: Place['view']): Promise<Said> {
  const blocks = await still(page);
  return { name, view, blocks, heard: await page.locator('body').ariaSnapshot() };
}

async function pageOf(browser: Browser, url: string, bench: 'plain' | 'whole'): Promise<Page> {
  const context = await browser.newContext({
    baseURL: url,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'UTC',
  });
  await context.addCookies([{ name: 'bench', value: bench, url }]);
  // What is asked in the page was compiled with names kept, which the page knows nothing of.
  await context.addInitScript('globalThis.__name = (named) => named');
  const page = await context.newPage();
  await page.clock.setFixedTime(new Date(frozenAt));
  page.setDefaultTimeout(20_000);
  return page;
}

async function steps(page: Page, formulaId: string, method: string): Promise<Said[]> {
  const begun = await page.request.post('/api/v1/bakes', {
    data: { formulaId, formulaVersion: 1, method },
  });
  const { id } = (await begun.json()) as { id: string };
  await visit(page, `/bake/${id}`);
  const said: Said[] = [];
  const line = page.getByRole('navigation', { name: 'Steps of the bake' });
  await line.waitFor();
  for (const [i, button] of (await line.getByRole('button').all()).entries()) {
    await button.click();
    said.push(await look(page, `${formulaId}, step ${i + 1}`, 'Bake, step by step'));
  }
  return said;
}

/** Everything that the places say, and the steps of two breads, one by machine and one by hand. */
export async function rendered(): Promise<Said[]> {
  const browser = await chromium.launch(launchOptions);
  const said: Said[] = [];
  try {
    for (const kitchen of ['empty', undefined] as const) {
      const server = await serve({ ...frozen, TENDER_CRUMB_DEMO: kitchen === 'empty' ? '' : '1' });
      try {
        for (const place of places.filter((p) => p.kitchen === kitchen)) {
          const page = await pageOf(browser, server.url, place.bench ?? 'plain');
          await visit(page, place.path);
          await place.go?.(page);
          said.push(await look(page, place.name, place.view));
          await page.context().close();
        }
        if (kitchen === 'empty') continue;
        const page = await pageOf(browser, server.url, 'plain');
        said.push(...(await steps(page, 'lockside-white', 'liquids-first')));
        said.push(...(await steps(page, 'towpath-sourdough', 'hand')));
      } finally {
        await server.stop();
        rmSync(server.folder, { recursive: true, force: true });
      }
    }
  } finally {
    await browser.close();
  }
  return said;
}
