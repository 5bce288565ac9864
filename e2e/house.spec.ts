import {
  chromium,
  type Browser,
  type BrowserContext,
  type Page,
  type Route,
} from '@playwright/test';
import { readFileSync, rmSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { reload, expect, serve, test, visit, type Served, toStep, unfoldMore } from './fixtures.ts';
import { launchOptions } from '../scripts/chromium.mjs';

const saved = (page: Page, state = 'saved') =>
  expect(page.locator('[data-save]')).toHaveAttribute('data-save', state);

/** The server does not answer this page any more. */
const away = (page: Page) => page.route('**/api/v1/**', (route) => route.abort());
const back = async (page: Page) => {
  await page.unroute('**/api/v1/**');
  // It tries by itself as well: then there is nothing left to press.
  const now = page.getByRole('button', { name: 'Try now' });
  await expect(async () => {
    if (await now.isVisible()) await now.click({ timeout: 500 });
  }).toPass();
};

/** A formula of its own for a test, so that none disturbs another. */
async function formula(page: Page, name: string): Promise<string> {
  const added = await page.request.post('/api/v1/formulas', {
    data: {
      name,
      stages: [
        {
          lines: [
            { ingredient: 'bread-flour', grams: 500 },
            { ingredient: 'water', grams: 310 },
            { ingredient: 'salt', grams: 9 },
          ],
        },
      ],
    },
  });
  return ((await added.json()) as { id: string }).id;
}

interface Stored {
  version: number;
  formula: { stages: Array<{ lines: Array<{ ingredient: string; grams: number }> }> };
  aside: Array<{ formula: Stored['formula'] }>;
}
const stored = async (page: Page, id: string) =>
  (await (await page.request.get(`/api/v1/formulas/${id}`)).json()) as Stored;
const waterOf = ({ stages }: Stored['formula']) =>
  stages.flatMap((s) => s.lines).find((l) => l.ingredient === 'water')!.grams;

/** Asks as the page itself would, under the name that the browser was led to. */
const ask = (page: Page, method: string, path: string) =>
  page.evaluate(
    async ([method, path]) => {
      const response = await fetch(path!, { method: method! });
      return { status: response.status, json: await response.json() };
    },
    [method, path],
  );

test.describe('one formula in two places', () => {
  let two: BrowserContext;
  test.beforeEach(async ({ browser, baseURL }) => {
    two = await browser.newContext({ baseURL: baseURL!, reducedMotion: 'reduce' });
  });
  test.afterEach(() => two.close());

  test('changed in both while one was away: side by side, and both are kept', async ({ page }) => {
    const id = await formula(page, 'Two at once');
    const other = await two.newPage();
    await visit(page, `/bench/${id}`);
    await visit(other, `/bench/${id}`);
    await away(page);
    await page.getByLabel('Grams of water').fill('333');
    await saved(page, 'waiting');
    await expect(page.getByTestId('sync')).toContainText('The server is away. 1 thing waits');
    await other.getByLabel('Grams of water').fill('290');
    await saved(other);

    await back(page);
    const both = page.getByRole('table', { name: 'The two versions side by side' });
    await expect(both.getByRole('row', { name: /^water/ })).toContainText('290');
    await expect(both.getByRole('row', { name: /^water/ })).toContainText('333');
    await expect(both).toContainText('Theirs: the main machine');
    await expect(both).toContainText('2 lines are the same');
    const look = page.getByRole('link', { name: 'Changed on another device' });
    await page.getByLabel('Grams of fine salt').scrollIntoViewIfNeeded();
    await page.mouse.wheel(0, 3000);
    await look.click();
    await expect(both).toBeInViewport();
    await expect(look).toBeHidden();
    await expect(page.getByLabel('Grams of water')).toHaveValue('333');
    const kept = await stored(page, id);
    expect(waterOf(kept.formula)).toBe(290);
    expect(kept.aside.map((a) => waterOf(a.formula))).toEqual([333]);

    // Typing on does not lose a letter of it either: the newest is what is set aside.
    await page.getByLabel('Grams of water').fill('334');
    await expect
      .poll(async () => (await stored(page, id)).aside.map((a) => waterOf(a.formula)))
      .toEqual([334]);

    await page.getByRole('button', { name: 'Show theirs' }).click();
    await expect(page.getByLabel('Grams of water')).toHaveValue('290');
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(page.getByLabel('Grams of water')).toHaveValue('334');
    await saved(page);
    expect(waterOf((await stored(page, id)).formula)).toBe(334);

    // The one that is behind now says so, and can go on top of it.
    await other.getByLabel('Grams of water').fill('300');
    await other.getByRole('button', { name: 'Put mine on top' }).click();
    await saved(other);
    expect(waterOf((await stored(page, id)).formula)).toBe(300);
  });

  test('typed, closed, changed elsewhere, opened again: side by side', async ({
    page,
    context,
  }) => {
    const id = await formula(page, 'Closed in between');
    await visit(page, `/bench/${id}`);
    await away(page);
    await page.getByLabel('Grams of water').fill('345');
    await saved(page, 'waiting');
    await page.close();
    const other = await two.newPage();
    await visit(other, `/bench/${id}`);
    await other.getByLabel('Grams of water').fill('280');
    await saved(other);

    const again = await context.newPage();
    await visit(again, `/bench/${id}`);
    const both = again.getByRole('table', { name: 'The two versions side by side' });
    await expect(both.getByRole('row', { name: /^water/ })).toContainText('280');
    await expect(again.getByLabel('Grams of water')).toHaveValue('345');
    await again.getByRole('button', { name: 'Keep mine as a new formula' }).click();
    await expect(again).not.toHaveURL(new RegExp(id));
    await expect(again.getByLabel('Grams of water')).toHaveValue('345');
    await expect(again.getByLabel('Name of the recipe')).toHaveValue('Closed in between (my copy)');
  });

  test('saved elsewhere while the page was on its way: it shows what is true', async ({ page }) => {
    const id = await formula(page, 'On its way');
    await page.route(`**/bench/${id}`, async (route) => {
      const response = await route.fetch();
      const { version, formula } = await stored(page, id);
      const wetter = structuredClone(formula);
      wetter.stages[0]!.lines.find((l) => l.ingredient === 'water')!.grams = 318;
      await page.request.put(`/api/v1/formulas/${id}`, { data: { version, formula: wetter } });
      await route.fulfill({ response });
    });
    await visit(page, `/bench/${id}`);
    await expect(page.getByLabel('Grams of water')).toHaveValue('318');
    await page.getByLabel('Grams of water').fill('319');
    await saved(page);
  });

  test('every version can be looked at and brought back', async ({ page }) => {
    const id = await formula(page, 'Many versions');
    await visit(page, `/bench/${id}`);
    for (const water of ['320', '330']) {
      await page.getByLabel('Grams of water').fill(water);
      await saved(page);
    }
    await page.getByText('Earlier versions').click();
    await page.getByRole('button', { name: /^1 ·/ }).click();
    const both = page.getByRole('table', { name: 'The two versions side by side' });
    await expect(both.getByRole('row', { name: /^water/ })).toContainText('310');
    await page.getByRole('button', { name: 'Bring back' }).click();
    await expect(page.getByLabel('Grams of water')).toHaveValue('310');
    await saved(page);
  });

  test('settled in two tabs, field by field, nothing of either is lost', async ({ page }) => {
    const other = await two.newPage();
    await visit(page, '/pantry/kitchen');
    await visit(other, '/pantry/kitchen');
    await away(page);
    await page.getByRole('combobox', { name: 'Egg', exact: true }).selectOption('us-medium');
    await expect(page.getByText('goes out by itself').first()).toBeVisible();
    await expect(page.getByRole('combobox', { name: 'Egg', exact: true })).toHaveValue('us-medium');
    await other.getByLabel('Room, °C').fill('17');
    await other.getByLabel('Room, °C').blur();
    await expect(other.getByText('Saved.')).toBeVisible();
    await back(page);
    await expect(page.getByLabel('Room, °C')).toHaveValue('17');
    const settings = async () => (await page.request.get('/api/v1/household')).json();
    await expect
      .poll(settings)
      .toMatchObject({ measures: { egg: 'us-medium' }, room: { celsius: 17 } });
    await page.request.patch('/api/v1/household', {
      data: { measures: { egg: 'eu-medium' }, room: { celsius: null } },
    });
  });
});

test('what was typed while the server was away is there after a reload, from bench to bench, and is undone', async ({
  page,
}) => {
  const [one, two] = [await formula(page, 'First bench'), await formula(page, 'Second bench')];
  await visit(page, `/bench/${one}`);
  await page.getByLabel('Grams of water').fill('321');
  await saved(page);
  await away(page);
  await page.getByLabel('Grams of fine salt').fill('10');
  await saved(page, 'waiting');
  await visit(page, `/bench/${two}`);
  await page.getByLabel('Grams of water').fill('322');
  await saved(page, 'waiting');
  await expect(page.getByTestId('sync')).toContainText('2 things wait');
  await page.unroute('**/api/v1/**');
  await reload(page);
  await expect(page.getByLabel('Grams of water')).toHaveValue('322');
  await saved(page);
  await visit(page, `/bench/${one}`);
  await expect(page.getByLabel('Grams of fine salt')).toHaveValue('10');

  // New data arrive and undo is still what it was.
  await page.getByLabel('Grams of water').fill('300');
  await saved(page);
  await page.getByRole('radio', { name: '% of added flour' }).click();
  await expect
    .poll(async () => (await (await page.request.get('/api/v1/household')).json()).percentages)
    .toBe('added');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Grams of water')).toHaveValue('321');
  await page.getByRole('radio', { name: '% of all flour' }).click();
  await expect
    .poll(async () => (await (await page.request.get('/api/v1/household')).json()).percentages)
    .toBe('total');
});

/** What the browser keeps under a name, as its own storage has it. */
const keptText = (page: Page, key: string) =>
  page.evaluate(async (key) => {
    const open = indexedDB.open('tender-crumb');
    await new Promise((done) => (open.onsuccess = done));
    const asked = open.result.transaction('texts').objectStore('texts').get(key);
    await new Promise((done) => (asked.onsuccess = done));
    open.result.close();
    return (asked.result as { value?: unknown } | undefined)?.value;
  }, key);

test('a formula is copied, taken off the shelf and put back; one begins from nothing', async ({
  page,
}) => {
  await page.request.post('/api/v1/formulas', {
    data: { name: 'Weir loaf', stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }] },
  });
  await visit(page, '/?find=Weir');
  await page.getByRole('button', { name: 'Copy or delete Weir loaf', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Copy' }).click();
  await expect(page).toHaveURL(/\/bench\/.+/);
  await expect(page.getByRole('heading', { name: 'Weir loaf, copy' })).toBeAttached();
  await visit(page, '/?find=Weir');
  await page.getByRole('button', { name: 'Copy or delete Weir loaf', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'is deleted' })).toBeVisible();
  const row = page.getByRole('button', { name: 'Bake Weir loaf', exact: true });
  await expect(row).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toBeVisible();
  await page.getByRole('button', { name: 'New recipe' }).click();
  await expect(page).toHaveURL(/\/bench\/.+/);
  await expect(page.getByText('Add some flour first', { exact: false }).first()).toBeVisible();
});

test('a formula is taken out in every format, and the file of all of it put back', async ({
  page,
}) => {
  const made = await page.request.post('/api/v1/formulas', {
    data: {
      name: 'Canal loaf',
      notes: 'cold pantry',
      stages: [
        {
          lines: [
            { ingredient: 'bread-flour', grams: 500 },
            { ingredient: 'water', grams: 320 },
          ],
        },
      ],
    },
  });
  const { id } = (await made.json()) as { id: string };
  await visit(page, `/bench/${id}`);
  const text = async (label: string) => {
    await page.getByRole('button', { name: 'Copy, print or save' }).click();
    const waiting = page.waitForEvent('download');
    await page.getByRole('menuitem', { name: label }).click();
    const file = await waiting;
    return readFileSync((await file.path())!, 'utf8');
  };
  expect(await text('plain text')).toContain('500 g strong bread flour');
  expect(await text('lines for a spreadsheet (CSV)')).toContain('Dough,water,320,64.00');
  expect(await text('a sheet in Markdown')).toContain('| water | 320 | 64.0 |');
  expect(JSON.parse(await text('a recipe for the web (JSON-LD)'))['@type']).toBe('Recipe');
  const all = await text('everything, as JSON');
  await visit(page, '/');
  await page.getByLabel('One ingredient a line').fill(all);
  await page.getByRole('button', { name: 'Open this recipe' }).click();
  await expect(page).toHaveURL(/\/bench\/.+/);
  await expect(page.getByLabel('Grams of water')).toHaveValue('320');
});

test('lines are moved by keys, notes are kept, and a formula is found by what is in it', async ({
  page,
}) => {
  const made = await page.request.post('/api/v1/formulas', {
    data: {
      name: 'Quay bread',
      stages: [
        {
          lines: [
            { ingredient: 'bread-flour', grams: 500 },
            { ingredient: 'water', grams: 320 },
            { ingredient: 'walnuts', grams: 60 },
          ],
        },
      ],
    },
  });
  const { id } = (await made.json()) as { id: string };
  await visit(page, `/bench/${id}`);
  await page.getByLabel('Grams of nuts').focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(page.getByLabel('Grams of nuts')).toBeFocused();
  const grams = page.locator('input[data-column="grams"]');
  await expect(grams.nth(1)).toHaveValue('60');
  await page.getByLabel('Notes').fill('The cold pantry next time');
  await saved(page);
  await reload(page);
  await expect(page.getByLabel('Notes')).toHaveValue('The cold pantry next time');
  await expect(grams.nth(1)).toHaveValue('60');
  for (const words of ['nuts', 'cold pantry quay', 'tin loaf nuts']) {
    await visit(page, `/?find=${encodeURIComponent(words)}`);
    await expect(page.getByRole('link', { name: /^Quay bread/ })).toBeVisible();
  }
  await visit(page, '/?find=nuts+herring');
  await expect(page.getByRole('link', { name: /^Quay bread/ })).toHaveCount(0);
});

test('what could not be read is asked about on the bench, and its word is remembered', async ({
  page,
}) => {
  await visit(page, '/');
  await page
    .getByLabel('One ingredient a line')
    .fill('500 g bread flour\n300 g water\n30 g snorkel flour');
  await page.getByRole('button', { name: 'Open this recipe' }).click();
  await expect(page).toHaveURL(/\/bench\/.+/);
  const ask = page.getByTestId('ask');
  await expect(ask).toContainText('“snorkel flour” is not known');
  await ask.getByLabel('remember').check();
  await ask.getByRole('button', { name: 'plain flour', exact: true }).click();
  await expect(ask).toHaveCount(0);
  await expect(page.getByLabel('Grams of plain flour')).toHaveValue('30');
  await visit(page, '/');
  await page.getByLabel('One ingredient a line').fill('200 g snorkel flour');
  await expect(page.getByRole('list', { name: 'What was read' })).toContainText('plain flour');
  await visit(page, '/pantry/kitchen');
  await page.getByRole('button', { name: 'Forget “snorkel flour”' }).click();
  await expect(page.getByRole('heading', { name: 'Your words' })).toHaveCount(0);
});

test('a recipe that was pasted and not put anywhere is there again', async ({ page }) => {
  await visit(page, '/');
  const text = 'Kept loaf\n\n500 g bread flour\n300 g water';
  await page.getByLabel('One ingredient a line').fill(text);
  await expect.poll(() => keptText(page, 'pasted')).toMatchObject({ text });
  await reload(page);
  await expect(page.getByLabel('One ingredient a line')).toHaveValue(text);
  await page.getByRole('button', { name: 'Open this recipe' }).click();
  await expect(page).toHaveURL(/\/bench\/.+/);
  await visit(page, '/');
  await expect(page.getByLabel('One ingredient a line')).toHaveValue('');
});

test('what arrives from the server while one goes elsewhere does not hold one back', async ({
  page,
}) => {
  const id = await formula(page, 'Where one goes');
  let land = () => {};
  const asked = new Promise<void>((resolve) => (land = resolve));
  const late = async (route: Route) => {
    land();
    // The settings arrive, and the page is fetched anew, before this does.
    await page.waitForResponse((r) => r.request().method() === 'PATCH');
    await new Promise((done) => setTimeout(done, 300));
    await route.continue();
  };
  await page.route(`**/api/v1/shown/bench/${id}`, late, { times: 1 });
  let settle = () => {};
  const going = new Promise<void>((resolve) => (settle = resolve));
  await page.route('**/api/v1/household', async (route) => {
    await going;
    await route.continue();
  });
  await visit(page, '/pantry/kitchen');
  const room = page.getByLabel('Room, °C');
  const before = await room.inputValue();
  await room.fill('23');
  await room.press('Tab');
  await page.evaluate((to) => {
    const link = document.createElement('a');
    link.href = to;
    document.querySelector('main')!.append(link);
    link.click();
  }, `/bench/${id}`);
  await asked;
  settle();
  await expect(page).toHaveURL(new RegExp(id));
  await expect(page.getByLabel('Grams of water')).toHaveValue('310');
  await page.request.patch('/api/v1/household', {
    data: { room: { celsius: before === '' ? null : Number(before) } },
  });
});

test('a form that was half filled is there again, whatever else was kept meanwhile', async ({
  page,
}) => {
  await visit(page, '/pantry');
  await page.getByLabel('New bag').fill('Half a thought');
  // Another form of the page is kept, and its data are fetched anew.
  await page.locator('summary', { hasText: 'New ingredient' }).click();
  const label = page.locator('form').filter({ hasText: 'Grams in 100 g' });
  await label.getByLabel('New ingredient').fill('Acorn meal');
  for (const figure of ['Fat', 'Carbohydrate', 'of which sugars', 'Fibre', 'Protein', 'Salt']) {
    await label.getByLabel(figure, { exact: true }).fill('5');
  }
  await label.getByRole('button', { name: 'Add the ingredient' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await expect(label.getByLabel('New ingredient')).toHaveValue('');
  await expect(page.getByLabel('New bag')).toHaveValue('Half a thought');
  await reload(page);
  await expect(page.getByLabel('New bag')).toHaveValue('Half a thought');
  await page.getByLabel('New bag').fill('');

  await visit(page, '/pantry/kitchen');
  await page.getByLabel('Weighing 2, g').fill('131');
  await visit(page, '/pantry/kitchen');
  await expect(page.getByLabel('Weighing 2, g')).toHaveValue('131');
  await page.getByLabel('Weighing 2, g').fill('');
});

test.describe('a bake', () => {
  let id: string;
  test.beforeEach(async ({ page }) => {
    const begun = await page.request.post('/api/v1/bakes', {
      data: { formulaId: 'lockside-white', formulaVersion: 1, method: 'hand' },
    });
    ({ id } = (await begun.json()) as { id: string });
    await visit(page, `/bake/${id}`);
  });

  test('finished while the server is away: said so, pressed twice is once, and true when it is back', async ({
    page,
  }) => {
    await away(page);
    await page.locator('button.tick').first().click();
    await toStep(page, 'Result');
    await page.getByLabel('In your own words').fill('Kept while it was written.');
    await reload(page);
    await toStep(page, 'Result');
    await expect(page.getByLabel('In your own words')).toHaveValue('Kept while it was written.');
    await page.getByRole('button', { name: 'Save the bake' }).dblclick();
    await expect(page.getByRole('heading', { name: 'Saved here' })).toBeVisible();
    await back(page);
    await expect(page.getByRole('heading', { name: 'What this bake taught' })).toBeVisible();
    const bake = await (await page.request.get(`/api/v1/bakes/${id}`)).json();
    const kinds = bake.events.map((e: { kind: string }) => e.kind);
    expect(kinds).toEqual(['weighed', 'outcome', 'finished']);

    // Taken back, it takes its lesson back.
    await page.getByRole('button', { name: 'Not finished yet' }).click();
    await expect(page.getByRole('navigation', { name: 'Steps of the bake' })).toBeVisible();
    await expect
      .poll(async () => (await (await page.request.get(`/api/v1/bakes/${id}`)).json()).lesson)
      .toBe(undefined);
  });

  test('of something without a formula here is only said how it came out', async ({ page }) => {
    await visit(page, '/bake');
    await page.getByLabel(/without a recipe/).fill('Bread of the neighbours');
    await page.getByRole('button', { name: 'Bake it' }).click();
    await expect(page).toHaveURL(/\/bake\/.+/);
    await page.getByRole('radio', { name: 'excellent' }).click();
    await page.getByRole('button', { name: 'dense', exact: true }).click();
    await page.getByLabel('In your own words').fill('rye, I think');
    await page.getByRole('button', { name: 'Save the bake' }).click();
    await expect(page.getByRole('heading', { name: 'excellent' })).toBeVisible();
    await expect(page.getByText('dense · rye, I think')).toBeVisible();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await visit(page, '/book');
    const row = page.getByRole('row').filter({ hasText: 'Bread of the neighbours' });
    await expect(row).toContainText('excellent');
    await visit(page, '/bake');
    await expect(page.getByText('Bread of the neighbours')).toHaveCount(0);
  });

  test('is given up, and taken up again; what was tapped stays', async ({ page }) => {
    await page.locator('button.tick').first().click();
    await unfoldMore(page);
    await page.getByRole('button', { name: 'Cancel this bake' }).click();
    await page.getByRole('button', { name: 'Yes, cancel it' }).click();
    await expect(page.getByRole('heading', { name: 'This bake was cancelled' })).toBeVisible();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await visit(page, '/bake');
    await expect(page.locator(`a[href="/bake/${id}"]`)).toHaveCount(0);
    await visit(page, `/bake/${id}`);
    await page.getByRole('button', { name: 'Carry on with this bake' }).click();
    await expect(page.locator('button.tick[aria-pressed="true"]')).toHaveCount(1);
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await visit(page, '/bake');
    await expect(
      page.getByRole('list', { name: 'Being baked' }).locator(`a[href="/bake/${id}"]`),
    ).toHaveCount(1);
  });

  test('what the server refuses is set aside in words, and what follows goes on', async ({
    page,
  }) => {
    await page.evaluate(async (bake) => {
      const open = indexedDB.open('tender-crumb');
      const db = await new Promise<IDBDatabase>((done) => {
        open.onsuccess = () => done(open.result);
      });
      const tx = db.transaction('waiting', 'readwrite');
      const rest = { lane: `bake/${bake}`, kind: 'event', rev: 'r', at: new Date().toISOString() };
      const body = { id: 'bad', at: 'noon', kind: 'felt', data: { points: 1 } };
      tx.objectStore('waiting').put({ ...rest, key: 'event/bad', seq: 1, body });
      tx.objectStore('waiting').put({ key: 'nonsense', what: ['is', 'this'] });
      await new Promise((done) => (tx.oncomplete = done));
    }, id);
    await page.locator('button.tick').first().click();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: /2 things were refused/ }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('is not a moment');
    await expect(dialog).toContainText('cannot be read');
    for (const left of [1, 0]) {
      await dialog.getByRole('button', { name: 'Throw it away' }).first().click();
      await expect(dialog.getByRole('listitem')).toHaveCount(left);
    }
    const bake = await (await page.request.get(`/api/v1/bakes/${id}`)).json();
    expect(bake.events).toHaveLength(1);
  });
});

test('a browser that keeps nothing says so, and the page works', async ({ page }) => {
  const id = await formula(page, 'Nothing kept');
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('not here', 'SecurityError');
    };
  });
  await visit(page, `/bench/${id}`);
  await expect(page.getByTestId('sync')).toContainText('cannot keep');
  await page.getByLabel('Grams of water').fill('305');
  await saved(page);
  expect(waterOf((await stored(page, id)).formula)).toBe(305);
});

test.describe('a tablet on plain http', () => {
  let server: Served;
  let tablet: Browser;
  /** An address of this machine that is not its loopback, where it has one. */
  const address = Object.values(networkInterfaces())
    .flat()
    .find((a) => a && a.family === 'IPv4' && !a.internal)?.address;
  const name = 'tablet.test';
  const settings = {
    TENDER_CRUMB_NAMES: name,
    ...(address ? { HOST: '0.0.0.0' } : { TENDER_CRUMB_PROXY: '1' }),
  };
  let port: string;

  test.beforeAll(async () => {
    server = await serve(settings);
    port = new URL(server.url).port;
    const led = `--host-resolver-rules=MAP ${name} ${address ?? '127.0.0.1'}`;
    tablet = await chromium.launch({ ...launchOptions, args: [...launchOptions.args, led] });
  });
  test.afterAll(async () => {
    await tablet?.close();
    await server.stop();
    rmSync(server.folder, { recursive: true, force: true });
  });

  test(
    'pairs once, bakes a whole bread while the server is killed at every step, is forgotten and comes back',
    { tag: '@long' },
    async () => {
      const context = await tablet.newContext({
        baseURL: `http://${name}:${port}`,
        viewport: { width: 1024, height: 768 },
        reducedMotion: 'reduce',
      });
      const page = await context.newPage();
      const restart = async () => {
        await server.stop('SIGKILL');
        return async () => {
          server = await serve({ ...settings, PORT: port }, server.folder);
        };
      };

      await page.goto('/bench/lockside-white');
      await expect(page).toHaveURL(/\/pair\?to=/);
      expect(await page.evaluate(() => isSecureContext)).toBe(false);
      // A phone's first sight of the kitchen fits it.
      await page.setViewportSize({ width: 390, height: 844 });
      const code = await page.getByLabel('Code').boundingBox();
      expect(code!.x + code!.width).toBeLessThan(370);
      await page.setViewportSize({ width: 1024, height: 768 });
      expect((await ask(page, 'GET', '/api/v1/formulas')).status).toBe(401);
      await page.getByLabel('Code').fill('AAAA-AAAA');
      await page.getByLabel('What this device is called').fill('Counter tablet');
      await page.getByRole('button', { name: 'Come in' }).click();
      await expect(page.getByRole('alert')).toContainText('Wrong code');
      await expect(page.getByLabel('What this device is called')).toHaveValue('Counter tablet');
      await page.getByLabel('Code').fill(server.code.toLowerCase().replace('-', ' '));
      await page.getByRole('button', { name: 'Come in' }).click();
      await expect(page).toHaveURL(/\/bench\/lockside-white$/);
      await page.locator('html[data-ready]').waitFor({ state: 'attached' });

      await page.getByRole('button', { name: 'Copy, print or save' }).click();
      await page.getByRole('menuitem', { name: 'Copy as text' }).click();
      await expect(page.getByText('Copied as text.')).toBeVisible();

      await page.getByRole('button', { name: 'Bake this' }).click();
      await expect(page).toHaveURL(/\/bake\/.+/);
      const id = page.url().split('/').at(-1)!;

      // Each tick lands, the server there or not.
      const ticks = page.locator('button.tick');
      await expect(ticks.first()).toBeVisible();
      const count = await ticks.count();
      for (let i = 0; i < count; i += 1) {
        const start = i % 2 === 0 ? await restart() : undefined;
        await ticks.nth(i).click();
        await expect(ticks.nth(i)).toHaveAttribute('aria-pressed', 'true');
        await start?.();
      }
      let start = await restart();
      await page.getByRole('button', { name: /^All in/ }).click();
      await toStep(page, 'Dough check');
      const feel = page.getByRole('slider', { name: 'How the dough feels' });
      await feel.focus();
      await page.keyboard.press('PageDown');
      await page.getByRole('button', { name: 'It feels like this' }).click();
      await start();
      await page.getByRole('button', { name: 'Looks right, carry on' }).click();
      await toStep(page, 'Result');
      start = await restart();
      await page.getByLabel('In your own words').fill('Written with the server dead.');
      await page.getByRole('button', { name: 'Save the bake' }).click();
      await expect(page.getByRole('heading', { name: 'Saved here' })).toBeVisible();
      await start();
      await expect(page.getByRole('heading', { name: 'What this bake taught' })).toBeVisible({
        timeout: 100_000,
      });
      const { json: bake } = await ask(page, 'GET', `/api/v1/bakes/${id}`);
      const of = (kind: string) =>
        bake.events.filter((e: { kind: string }) => e.kind === kind).length;
      expect([of('weighed'), of('felt'), of('outcome'), of('finished')]).toEqual([count, 1, 1, 1]);

      // Forgotten by the machine at home, it neither reads nor writes, and loses nothing.
      await page.goto('/bench/lockside-white');
      await page.locator('html[data-ready]').waitFor({ state: 'attached' });
      // What the page fetches while it idles is there: the refusal below meets what is typed, and nothing else.
      await page.waitForLoadState('networkidle');
      const { json: devices } = await ask(page, 'GET', '/api/v1/devices');
      expect(devices.devices.map((d: { name: string }) => d.name)).toEqual(['Counter tablet']);
      await ask(page, 'DELETE', `/api/v1/devices/${devices.devices[0].id}`);
      expect((await ask(page, 'GET', '/api/v1/formulas')).status).toBe(401);
      await page.getByLabel('Grams of water').fill('262');
      // The page is closed, and what was tapped on it is offered as a file before the device comes in again.
      await expect(page).toHaveURL(/\/pair\?.*why=forgotten/);
      await expect(page.getByText('One thing that you tapped here never reached')).toBeVisible();
      await expect(page.getByLabel('Code')).toHaveCount(0);
      const file = page.waitForEvent('download');
      await page.getByRole('button', { name: 'Save it as a file' }).click();
      expect(readFileSync(await (await file).path(), 'utf8')).toContain('262');
      await page.getByRole('button', { name: 'clear this device' }).click();
      await page.getByLabel('Code').fill(server.code);
      await page.getByRole('button', { name: 'Come in' }).click();
      // Whoever was forgotten knew the code: it is another one now.
      await expect(page.getByRole('alert')).toContainText('Wrong code');
      await (
        await restart()
      )();
      await page.getByLabel('Code').fill(server.code);
      await page.getByRole('button', { name: 'Come in' }).click();
      await expect(page).toHaveURL(/\/bench\/lockside-white$/);
      // What was saved as a file and cleared is not sent by a device that came in anew.
      await expect(page.getByLabel('Grams of water')).not.toHaveValue('262');

      // Any other refusal closes the page as well, and keeps what was tapped until the code was entered.
      await page.locator('html[data-ready]').waitFor({ state: 'attached' });
      await page.waitForLoadState('networkidle');
      const own = (await context.cookies()).filter((c) => c.name.startsWith('tender-crumb-'));
      await context.clearCookies();
      await page.getByLabel('Grams of water').fill('263');
      await expect(page).toHaveURL(/\/pair\?to=/);
      expect(page.url()).not.toContain('why');
      await expect(page.getByText('not known here yet')).toBeVisible();
      await page.getByLabel('Code').fill(server.code);
      await page.getByRole('button', { name: 'Come in' }).click();
      await expect(page).toHaveURL(/\/bench\/lockside-white$/);
      await expect(page.getByLabel('Grams of water')).toHaveValue('263');
      await saved(page);
      expect(own.length).toBe(1);
      await context.close();
    },
  );
});
