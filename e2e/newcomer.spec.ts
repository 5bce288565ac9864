import { reload, expect, serve, test, toStep, type Served, recipeBox } from './fixtures.ts';
import type { Browser, Page } from '@playwright/test';

/**
 * Who comes for the first time: an empty kitchen, nothing settled, nothing chosen, no word of a machine. What is asserted are
 * roles, states and figures.
 */
let server: Served;
test.beforeAll(async () => {
  server = await serve({ TENDER_CRUMB_DEMO: '' });
});
test.afterAll(() => server.stop());

/** A browser that nobody used before. */
async function newcomer(browser: Browser, width = 1280, at: Served = server): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width, height: 800 },
    serviceWorkers: 'block',
    reducedMotion: 'reduce',
    baseURL: at.url,
  });
  return context.newPage();
}

const ready = (page: Page) => page.locator('html[data-ready]').waitFor({ state: 'attached' });
const step = (page: Page) => page.locator('#step');

/** Pastes a recipe, puts it on the bench as it was read, and begins to bake it. */
async function begins(page: Page, text: string): Promise<void> {
  await page.goto('/');
  await ready(page);
  await (await recipeBox(page)).fill(text);
  await page.getByRole('button', { name: 'Open this recipe' }).click();
  await expect(page).toHaveURL(/\/bench\/.+/);
  await ready(page);
  await expect(page.getByRole('img', { name: /^Dough level/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Bake this' }).click();
  await expect(page).toHaveURL(/\/bake\/.+/);
  await ready(page);
}

/** Goes to the end by the first button of each step; gives the steps, and what stood on the page at each. */
async function walks(page: Page): Promise<Array<{ step: string; says: string }>> {
  const seen: Array<{ step: string; says: string }> = [];
  for (let i = 0; i < 40; i += 1) {
    const now = (await step(page).textContent())!.trim();
    const says = await page.locator('main').innerText();
    seen.push({ step: now, says });
    if (now === 'Result') return seen;
    const taps = page.getByRole('group', { name: 'This step' }).getByRole('button');
    const name = await taps.first().innerText();
    await taps.first().click();
    // A step is begun by one tap and ended by another.
    await expect
      .poll(async () => [await step(page).textContent(), await taps.first().innerText()].join())
      .not.toBe([now, name].join());
  }
  throw new Error(`never at its end: ${seen.map((s) => s.step).join(', ')}`);
}

const stepsOf = (seen: ReadonlyArray<{ step: string }>): string[] => [
  ...new Set(seen.map((s) => s.step)),
];
/** What only somebody with a machine would read. */
const machinery = /\bpaddle|\bsignal\b|\bprogramme\b|\bbread machine\b/i;

const countryLoaf = `Country loaf

500 g bread flour
340 g water
10 g salt
5 g instant yeast

Knead for 10 minutes. Let it rise until doubled, about 1 hour.
Shape it and let it proof for 45 minutes.
Bake at 220 °C for 35 minutes.`;

const sourdough = `Weekend sourdough

Starter
50 g whole rye flour
50 g water

Dough
450 g bread flour
300 g water
10 g salt`;

test('pastes a loaf and bakes it by hand: weighed, kneaded, baked as its recipe says, and in the book', async ({
  browser,
}) => {
  const page = await newcomer(browser);
  await begins(page, countryLoaf);
  // The whole of it is wanted on the scale, in the recipe's own grams.
  const list = page.getByRole('list', { name: 'To weigh' });
  await expect(list.locator('.tick')).toHaveCount(4);
  for (const grams of ['500', '340', '10', '5']) await expect(list).toContainText(grams);
  const seen = await walks(page);
  expect(stepsOf(seen)).toEqual([
    'Weigh the ingredients',
    'Weigh, mix and knead',
    'Dough check',
    'First rise',
    expect.stringMatching(/shape/i),
    'Final proof',
    'Bake',
    'Cool before cutting',
    'Result',
  ]);
  for (const { step: at, says } of seen) expect(says, at).not.toMatch(machinery);
  const at = (name: string) => seen.filter((s) => s.step === name).map((s) => s.says);
  expect(at('Bake').join()).toContain('220');
  await page.getByRole('radio', { name: 'good' }).click();
  await page.getByRole('button', { name: 'Save the bake' }).click();
  await page.goto('/book');
  await expect(page.getByRole('row').filter({ hasText: 'Country loaf' })).toHaveCount(1);
  await page.context().close();
});

test('pastes a sourdough: its starter is fed first, by grams, and no jar is there to be fed', async ({
  browser,
}) => {
  const page = await newcomer(browser);
  await begins(page, sourdough);
  await toStep(page, 'Feed the starter');
  const fed = page.getByRole('list', { name: 'What it is fed with' }).getByRole('listitem');
  await expect(fed).toHaveCount(3);
  await page.getByRole('button', { name: 'Fed' }).click();
  await expect(step(page)).toHaveText('Starter ripens');
  await page.getByRole('button', { name: 'It stands highest now' }).click();
  const { bags } = (await (await page.request.get('/api/v1/bags')).json()) as { bags: unknown[] };
  expect(bags).toEqual([]);
  const seen = await walks(page);
  expect(stepsOf(seen)).toContain('Final proof');
  for (const { step: at, says } of seen) expect(says, at).not.toMatch(machinery);
  await page.context().close();
});

test('bakes a first loaf on a phone: nothing is wider than it, to the end', async ({ browser }) => {
  const page = await newcomer(browser, 390);
  await page.goto('/bake/first');
  await ready(page);
  await page.getByRole('button', { name: 'Everything is here: begin' }).click();
  await expect(page).toHaveURL(/\/bake\/.+-0$/);
  await ready(page);
  const seen = await walks(page);
  expect(seen.at(-1)!.step).toBe('Result');
  for (const { step: at, says } of seen) expect(says, at).not.toMatch(machinery);
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
  await page.context().close();
});

test('finds each place empty, with the way on and without a fault', async ({ browser }) => {
  const page = await newcomer(browser);
  const faults: string[] = [];
  page.on('pageerror', (fault) => faults.push(fault.message));
  for (const path of [
    '/',
    '/bench',
    '/bake',
    '/bake/rescue',
    '/book',
    '/pantry',
    '/pantry/leavens',
  ]) {
    const answer = await page.goto(path);
    expect(answer!.status(), path).toBe(200);
    await ready(page);
    await expect(page.getByRole('heading', { level: 1 }).first(), path).toBeVisible();
    // Something to do stands on it, not only the way elsewhere.
    const todo = page
      .locator('main')
      .getByRole('button')
      .or(page.locator('main').getByRole('link'));
    expect(await todo.count(), path).toBeGreaterThan(0);
  }
  expect(faults).toEqual([]);
  await page.context().close();
});

test('tells of two ovens: each is set by its own offset, and the bake keeps to the one that was chosen', async ({
  browser,
}) => {
  const own = await serve({ TENDER_CRUMB_DEMO: '' });
  try {
    const page = await newcomer(browser, 1280, own);
    const oven = (id: string, more: object) => ({ id, kind: 'oven', name: id, holds: 1, ...more });
    const told = await page.request.patch('/api/v1/household', {
      data: {
        was: { appliances: [] },
        now: { appliances: [oven('Range', { offset: -20 }), oven('Small', {})] },
      },
    });
    expect(told.ok()).toBe(true);
    await begins(page, countryLoaf);
    await toStep(page, 'Bake');
    const ovens = page.getByRole('group', { name: 'Which oven' });
    const chosen = ovens.getByRole('button', { pressed: true });
    await expect(chosen).toHaveText('Range');
    // 20 °C too cool by its own dial.
    const main = page.locator('main');
    await expect(main.getByText('240 °C', { exact: true })).toBeVisible();
    await ovens.getByRole('button', { name: 'Small' }).click();
    await expect(chosen).toHaveText('Small');
    await expect(main.getByText('220 °C', { exact: true })).toBeVisible();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await reload(page);
    await toStep(page, 'Bake');
    await expect(chosen).toHaveText('Small');
    await page.getByRole('button', { name: /^Undo: / }).click();
    await toStep(page, 'Bake');
    await expect(chosen).toHaveText('Range');
    await page.context().close();
  } finally {
    await own.stop();
  }
});
