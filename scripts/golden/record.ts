/**
 * Writes down, as text, what bench, bake, plan, rescue and paste say: of the demo's formulas and bakes, of
 * the first loaves, and of twenty recipes that are pasted into an empty kitchen. A change that means to
 * change nothing leaves docs/golden as it was; any other shows there what became of each sentence.
 */
import { chromium, type Browser, type Locator, type Page } from '@playwright/test';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { recipeBox, serve, type Served } from '../../e2e/fixtures.ts';
import { plan } from '../../e2e/plan-page.ts';
import { bookLearned } from '../bench/served.ts';
import { launchOptions } from '../chromium.mjs';
import { root } from '../root.mjs';
import { recipes } from './recipes.ts';

const { values: given } = parseArgs({
  options: { to: { type: 'string' }, only: { type: 'string' } },
});
const folder = resolve(given.to ?? join(root, 'docs/golden'));
mkdirSync(folder, { recursive: true });

const frozenAt = '2026-11-26T09:00:00Z';
const frozen = {
  TENDER_CRUMB_NOW: '',
  FROZEN_AT: frozenAt,
  NODE_OPTIONS: `--import=${join(root, 'scripts/golden/frozen-clock.mjs')}`,
};

/** What it says to somebody who hears the page: roles, names, values; no addresses, no empty frames. */
async function said(part: Locator): Promise<string> {
  const text = await part.ariaSnapshot();
  return (
    text
      .split('\n')
      .map((line) =>
        line
          .trim()
          .replace(/^- /, '')
          .replace(/^'([^]*)'$/, '$1')
          .replace(/:$/, ''),
      )
      // Choices that are not taken say nothing that their list would not; pictures without a name neither.
      .filter((line) => !/^\/(?:url|placeholder)\b|^option (?!.*\[selected\])/.test(line))
      .filter(
        (line) =>
          !/^(?:img|list|listitem|paragraph|table|rowgroup|row|cell|region|group|text|main|figure|separator|caption|columnheader)$/.test(
            line,
          ),
      )
      .map((line) =>
        line.replace(/^(?:paragraph|text|cell|listitem|strong|term|definition)(?:: | (?="))/, ''),
      )
      .filter((line, i, all) => line && line !== all[i - 1])
      .join('\n')
  );
}

class Recorder {
  #parts: string[] = [];
  constructor(readonly name: string) {}
  add(title: string, text: string): void {
    this.#parts.push(`## ${title}\n${text}\n`);
  }
  write(): void {
    writeFileSync(join(folder, `${this.name}.txt`), this.#parts.join('\n'));
    console.log(`${this.name}: ${this.#parts.length} parts`);
  }
}

/** A page for which the clock stands too. */
async function pageOf(browser: Browser, server: Served, bench: 'plain' | 'whole'): Promise<Page> {
  const context = await browser.newContext({
    baseURL: server.url,
    viewport: { width: 1280, height: 900 },
    locale: 'en-GB',
    timezoneId: 'UTC',
  });
  await context.addCookies([{ name: 'bench', value: bench, url: server.url }]);
  const page = await context.newPage();
  await page.clock.setFixedTime(new Date(frozenAt));
  page.setDefaultTimeout(15_000);
  return page;
}

async function visit(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.locator('html[data-ready]').waitFor({ state: 'attached' });
  // Parts of a page that are fetched once it has nothing else to do are of it, too.
  await page.waitForLoadState('networkidle');
}

const main = (page: Page) => page.locator('main');

/** Waits until it says nothing else than a moment ago: what is worked out beside the page has arrived. */
async function still(part: Locator): Promise<string> {
  let before = '';
  for (let i = 0; i < 60; i += 1) {
    const now = await said(part);
    const busy =
      /One moment|Drawing …|Working the times out|Getting ready|progressbar|Saving|Looking for/.test(
        now,
      ) || (await part.locator('[aria-busy="true"]').count()) > 0;
    if (now === before && !busy) return now;
    before = now;
    await part.page().waitForTimeout(120);
  }
  return before;
}

/** All that a bench says, with what stands behind each of its tabs. */
async function bench(page: Page, record: Recorder, name: string): Promise<void> {
  record.add(`${name}: bench`, await still(main(page)));
  const tabs = page.getByRole('tablist', { name: 'More about this dough' }).getByRole('tab');
  for (const tab of await tabs.all()) {
    const label = await tab.innerText();
    await tab.click();
    record.add(`${name}: ${label}`, await still(page.getByRole('tabpanel')));
  }
}

/** Begins it as somebody does who changes nothing, and says all its steps. */
async function bake(page: Page, record: Recorder, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Bake this' }).click();
  await page.waitForURL(/\/bake\/[^/]+$/).catch(() => {});
  if (!/\/bake\/[^/]+$/.test(page.url())) {
    record.add(`${name}: bake`, await still(main(page)));
    return;
  }
  await steps(page, record, name);
  const id = page.url().split('/').at(-1)!;
  await rescue(page, record, name, id);
  await page.request.post(`/api/v1/bakes/${id}/events`, {
    data: { events: [{ id: 'over', at: frozenAt, kind: 'abandoned', data: {} }] },
  });
}

async function steps(page: Page, record: Recorder, name: string): Promise<void> {
  const line = page.getByRole('navigation', { name: 'Steps of the bake' });
  await line.waitFor();
  await page.waitForTimeout(250);
  record.add(`${name}: steps of the bake`, await still(line));
  const card = page.locator('section[aria-labelledby="step"]');
  const buttons = await line.getByRole('button').all();
  for (const [i, button] of buttons.entries()) {
    await button.click();
    record.add(`${name}: step ${i + 1}`, await still(card));
  }
}

async function rescue(page: Page, record: Recorder, name: string, id: string): Promise<void> {
  await visit(page, `/bake/rescue?bake=${id}`);
  const choices = await page.getByLabel('What is wrong').getByRole('radio').all();
  for (const [i, choice] of choices.entries()) {
    await choice.click();
    record.add(`${name}: in trouble, ${i + 1}`, await still(main(page)));
  }
}

/** The demo: its breads on the bench, planned, baked; its bakes. */
async function demo(browser: Browser): Promise<void> {
  const server = await serve({ ...frozen, TENDER_CRUMB_DEMO: '1' });
  try {
    await bookLearned(server.url);
    const page = await pageOf(browser, server, 'whole');
    const ask = async (path: string) => (await page.request.get(path)).json();
    const { formulas: shelf } = (await ask('/api/v1/formulas?limit=100')) as {
      formulas: Array<{ id: string; formula: { name: string } }>;
    };
    const formulas = shelf.map(({ id, formula }) => ({ id, name: formula.name }));
    formulas.sort((a, b) => (a.id < b.id ? -1 : 1));

    const planned = new Recorder('demo-plan');
    for (const { id, name } of formulas) {
      await visit(page, '/bake');
      await plan(page, name, '2026-11-27T18:00');
      await page.waitForTimeout(300);
      planned.add(`${name}, on the table on Friday at 18:00`, await still(main(page)));
      const { plans } = (await ask('/api/v1/plans')) as {
        plans: Array<{ id: string; formulaId: string }>;
      };
      for (const p of plans)
        if (p.formulaId === id) await page.request.delete(`/api/v1/plans/${p.id}`);
    }
    planned.write();

    const benches = new Recorder('demo-bench');
    const bakes = new Recorder('demo-bake');
    for (const { id, name } of formulas) {
      await visit(page, `/bench/${id}`);
      await bench(page, benches, name);
      await bake(page, bakes, name);
    }
    benches.write();
    bakes.write();

    const book = new Recorder('demo-bakes');
    await visit(page, '/bake/under-way');
    await steps(page, book, 'The bake that is under way');
    await rescue(page, book, 'The bake that is under way', 'under-way');
    const all: Array<{ id: string; startedAt: string; finishedAt?: string }> = [];
    for (let offset = 0; ; offset += 30) {
      const { bakes: rows } = (await ask(`/api/v1/bakes?limit=30&offset=${offset}`)) as {
        bakes: typeof all;
      };
      all.push(...rows);
      if (rows.length < 30) break;
    }
    for (const { id, finishedAt } of all
      .filter((b) => b.finishedAt)
      .sort((a, b) => (a.id < b.id ? -1 : 1))) {
      await visit(page, `/bake/${id}`);
      book.add(`Bake ${id}, finished ${finishedAt}`, await still(main(page)));
    }
    book.write();
  } finally {
    await server.stop();
    rmSync(server.folder, { recursive: true, force: true });
  }
}

/** An empty kitchen: somebody who pastes, somebody who never baked. */
async function newcomers(browser: Browser): Promise<void> {
  const server = await serve({ ...frozen, TENDER_CRUMB_DEMO: '' });
  try {
    const page = await pageOf(browser, server, 'plain');
    const pasted = new Recorder('paste');
    const bakes = new Recorder('paste-bake');
    for (const [name, text] of Object.entries(recipes)) {
      await visit(page, '/');
      await (await recipeBox(page)).fill(text);
      await page.waitForTimeout(400);
      pasted.add(
        `${name}: read`,
        await still(page.getByRole('region', { name: 'Paste a recipe' })),
      );
      await page.getByRole('button', { name: 'Open this recipe' }).click();
      await page.waitForURL(/\/bench\//);
      await page.locator('html[data-ready]').waitFor({ state: 'attached' });
      pasted.add(`${name}: bench`, await still(main(page)));
      if (await page.getByRole('button', { name: 'Bake this' }).isEnabled())
        await bake(page, bakes, name);
    }
    pasted.write();
    bakes.write();

    const first = new Recorder('first-loaves');
    await visit(page, '/bake/first');
    const loaves = page.getByRole('group', { name: 'Which bread' }).getByRole('button');
    const offered = await loaves.count();
    for (let i = 0; i < offered; i += 1) {
      await visit(page, '/bake/first');
      await loaves.nth(i).click();
      first.add(`loaf ${i + 1}: offered`, await still(main(page)));
      await page.getByRole('button', { name: /begin$/ }).click();
      await page.waitForURL((url) => /\/bake\/(?!first)[^/]+$/.test(url.pathname));
      await steps(page, first, `loaf ${i + 1}`);
      const id = page.url().split('/').at(-1)!;
      await page.request.post(`/api/v1/bakes/${id}/events`, {
        data: { events: [{ id: 'over', at: frozenAt, kind: 'abandoned', data: {} }] },
      });
    }
    first.write();
  } finally {
    await server.stop();
    rmSync(server.folder, { recursive: true, force: true });
  }
}

const browser = await chromium.launch(launchOptions);
try {
  if (given.only !== 'newcomers') await demo(browser);
  if (given.only !== 'demo') await newcomers(browser);
} finally {
  await browser.close();
}
