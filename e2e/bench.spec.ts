import type { Page } from '@playwright/test';
import { reload, expect, test, toLine, visit } from './fixtures.ts';
import { tooLow } from './too-low.ts';

const lines = (...of: ReadonlyArray<readonly [string, number]>) =>
  of.map(([ingredient, grams]) => ({ ingredient, grams }));

/** A sourdough of two parts, with water in both. */
async function sourdough(page: Page, name: string): Promise<string> {
  const made = await page.request.post('/api/v1/formulas', {
    data: {
      name,
      style: 'hearth-white',
      stages: [
        { kind: 'starter', name: 'Levain', lines: lines(['bread-flour', 50], ['water', 50]) },
        { lines: lines(['bread-flour', 450], ['water', 290], ['salt', 10]) },
      ],
    },
  });
  expect(made.ok(), await made.text()).toBe(true);
  const { id } = (await made.json()) as { id: string };
  return id;
}

const saved = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
const order = (page: Page) =>
  page
    .getByRole('combobox', { name: /^Swap / })
    .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')!.replace('Swap ', '')));

test.describe('a newcomer’s bench', () => {
  test.use({ bench: 'plain' });

  test('shows level, corrections and grams; it opens up when asked, and that is remembered', async ({
    page,
  }) => {
    await visit(page, '/bench/porridge-rolls');
    await expect(page.getByLabel('Grams of honey')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Corrections' })).toBeVisible();
    await expect(page.getByLabel('Percent of honey')).toBeHidden();
    await expect(page.getByRole('tab', { name: 'How sure' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Show everything' }).click();
    await expect(page.getByLabel('Percent of honey')).toBeVisible();
    await reload(page);
    await expect(page.getByRole('tab', { name: 'How sure' })).toBeVisible();
    await page.getByRole('button', { name: 'Show less' }).click();
    await reload(page);
    await expect(page.getByLabel('Percent of honey')).toBeHidden();
  });

  test('a word is explained where it stands', async ({ page }) => {
    await visit(page, '/bench/porridge-rolls');
    await page.getByRole('button', { name: /\d\s?% likely/ }).click();
    await expect(page.getByText('this many come out right')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByText('this many come out right')).toBeHidden();
  });

  for (const [width, height] of [
    [768, 1024],
    [1024, 768],
  ] as const) {
    test(`at ${width} × ${height} its sheet is above the fold and everything is 44 px high`, async ({
      browser,
      server,
    }) => {
      const context = await browser.newContext({
        baseURL: server.url,
        viewport: { width, height },
        hasTouch: true,
        reducedMotion: 'reduce',
      });
      const page = await context.newPage();
      await visit(page, '/bench/sluice-gate-plait');
      const first = await page.getByLabel('Grams of plain flour').boundingBox();
      expect(first!.y + first!.height).toBeLessThan(height);
      for (const path of ['/bench/sluice-gate-plait', '/', '/bake', '/book', '/pantry']) {
        await visit(page, path);
        const low = await tooLow(page, 44);
        expect(low, path).toEqual([]);
        // What is measured is read whole.
        const measured = page.locator('td.measure input');
        if (path.startsWith('/bench')) expect(await measured.count()).toBeGreaterThan(3);
        const cut = await measured.evaluateAll((all) =>
          all
            .filter((e) => e.scrollWidth > e.clientWidth + 1)
            .map((e) => (e as HTMLInputElement).value),
        );
        expect(cut, path).toEqual([]);
      }
      await context.close();
    });
  }
});

test('no page scrolls sideways at 320 px', async ({ page }) => {
  await page.setViewportSize({ width: 320, height: 700 });
  for (const path of ['/', '/bench/towpath-sourdough', '/bake', '/book', '/pantry']) {
    await visit(page, path);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThan(321);
  }
});

test('parts are added, named, moved and removed; the starter’s water is told from the dough’s', async ({
  page,
}) => {
  await visit(page, `/bench/${await sourdough(page, 'Parts')}`);
  await expect(page.getByLabel('Grams of water, Levain')).toHaveValue('50');
  await expect(page.getByLabel('Grams of water', { exact: true })).toHaveValue('290');
  await page.getByLabel('Add a part that is mixed on its own').selectOption('soaker');
  const name = page.getByLabel('Name of the part');
  await expect(name).toHaveCount(3);
  await name.nth(1).fill('Oats overnight');
  await page.getByLabel('Part that it goes to').selectOption('Oats overnight');
  const add = page.getByRole('combobox', { name: 'Add an ingredient' });
  await add.click();
  await add.fill('rolled oats');
  await page
    .getByRole('option', { name: /rolled oats/ })
    .first()
    .click();
  await page.getByLabel('Grams of rolled oats, Oats overnight').fill('80');
  await page.getByRole('button', { name: 'What to do with the part Oats overnight' }).click();
  await page.getByRole('menuitem', { name: 'Move the part up' }).click();
  await expect(name.first()).toHaveValue('Oats overnight');
  await saved(page);
  await reload(page);
  await expect(page.getByLabel('Grams of rolled oats, Oats overnight')).toHaveValue('80');
  await page.getByRole('button', { name: 'What to do with the part Oats overnight' }).click();
  await page.getByRole('menuitem', { name: 'Remove the part and its lines' }).click();
  await expect(page.getByLabel('Grams of rolled oats, Oats overnight')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Grams of rolled oats, Oats overnight')).toHaveValue('80');
});

test('a line is dragged to another place and another part, and by its menu', async ({ page }) => {
  // Near an edge the page scrolls along, and the rows are elsewhere by then.
  await page.setViewportSize({ width: 1280, height: 1300 });
  await visit(page, `/bench/${await sourdough(page, 'Dragged')}`);
  const handle = (name: string) => page.getByLabel(`Drag ${name}`, { exact: true });
  const drag = async (from: string, to: string) => {
    const [a, b] = [await handle(from).boundingBox(), await handle(to).boundingBox()];
    await page.mouse.move(a!.x + 10, a!.y + a!.height / 2);
    await page.mouse.down();
    // The library looks where the hand is five times a second, and only once it has moved ten pixels.
    const goal = b!.y + 6;
    const above = Math.sign(goal - a!.y);
    for (const y of [goal - above * 60, goal - above * 30, goal - above * 14, goal]) {
      await page.mouse.move(a!.x + 10, y, { steps: 5 });
      await page.waitForTimeout(300);
    }
    await page.mouse.up();
  };
  await drag('fine salt', 'strong bread flour');
  await expect
    .poll(() => order(page))
    .toEqual([
      'strong bread flour, Levain',
      'water, Levain',
      'fine salt',
      'strong bread flour',
      'water',
    ]);
  await drag('fine salt', 'water, Levain');
  await expect.poll(() => order(page)).toContain('fine salt, Levain');
  await saved(page);
  await reload(page);
  await expect.poll(() => order(page)).toContain('fine salt, Levain');
  // A part is dragged by its name above the sheet.
  const part = (name: string) => page.getByLabel(`Drag the part ${name}`, { exact: true });
  const [from, to] = [await part('Dough').boundingBox(), await part('Levain').boundingBox()];
  const row = from!.y + from!.height / 2;
  await page.mouse.move(from!.x + from!.width / 2, row);
  await page.mouse.down();
  for (const x of [to!.x + to!.width, to!.x + 40, to!.x + 15]) {
    await page.mouse.move(x, row, { steps: 5 });
    await page.waitForTimeout(300);
  }
  await page.mouse.up();
  await expect(page.getByLabel('Name of the part').first()).toHaveValue('Dough');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Name of the part').first()).toHaveValue('Levain');
  await toLine(page, 'strong bread flour', 'Move down');
  await expect
    .poll(async () => (await order(page)).slice(-2))
    .toEqual(['water', 'strong bread flour']);
});

test('pieces and their raw weight; whole eggs; a line that is held', async ({ page }) => {
  const made = await page.request.post('/api/v1/formulas', {
    data: {
      name: 'Rolls of eggs',
      style: 'rolls',
      stages: [
        {
          lines: [
            ...lines(['bread-flour', 400], ['water', 176]),
            { ingredient: 'egg', grams: 100, measured: 'count' },
            ...lines(['salt', 8]),
          ],
        },
      ],
    },
  });
  const { id } = (await made.json()) as { id: string };
  await visit(page, `/bench/${id}`);
  const makes = page.getByRole('group', { name: 'How much it makes' });
  await makes.getByLabel('Pieces').fill('9');
  await makes.getByLabel('Pieces').press('Tab');
  await expect(makes.getByLabel('Raw weight of a piece')).toHaveValue('76');
  await toLine(page, 'fine salt', 'Keep this amount when scaling');
  await makes.getByLabel('Raw weight of a piece').fill('152');
  await makes.getByLabel('Raw weight of a piece').press('Enter');
  await makes.getByLabel('Pieces').focus();
  await expect(makes.getByLabel('Weight wanted')).toHaveValue('1368');
  await expect(page.getByLabel('Grams of fine salt')).toHaveValue('8');
  await expect(page.getByLabel('Measure of egg')).toHaveValue('4');
  await makes.getByLabel('Pieces').fill('half');
  await makes.getByLabel('Pieces').press('Tab');
  await expect(makes.getByRole('alert')).toContainText('Pieces are whole');
});

test('ounces, degrees Fahrenheit and decimal commas, where the household settles on them', async ({
  page,
}) => {
  const id = await sourdough(page, 'Ounces');
  // The settings reach a busy machine late: the page goes by them all the same.
  await page.route('**/api/v1/household', async (route) => {
    await new Promise((done) => setTimeout(done, 2000));
    await route.continue().catch(() => undefined);
  });
  await visit(page, '/pantry/kitchen');
  await page.getByLabel('Weights in').selectOption('oz');
  await page.getByLabel('Temperatures in').selectOption('F');
  await page.getByLabel('Decimals after a').selectOption('comma');
  await expect(page.getByLabel('Room, °F')).toBeVisible();
  await visit(page, `/bench/${id}`);
  const salt = page.getByLabel('Grams of fine salt');
  await expect(salt).toHaveValue('0,353');
  await salt.fill('0,4');
  await page.getByLabel('Grams of water', { exact: true }).focus();
  await expect(salt).toHaveValue('0,4');
  await saved(page);
  const kept = async () => {
    const { formula } = (await (await page.request.get(`/api/v1/formulas/${id}`)).json()) as {
      formula: { stages: Array<{ lines: Array<{ grams: number }> }> };
    };
    return formula.stages[1]!.lines[2]!.grams;
  };
  // NIST Handbook 44: an ounce is 28.349523125 g.
  await expect.poll(kept).toBeCloseTo(0.4 * 28.349523125, 6);
  await page.request.patch('/api/v1/household', {
    data: { writing: { mass: 'g', temperature: 'C', decimal: 'point' } },
  });
  await reload(page);
  await expect(salt).toHaveValue('11');
});

test('versions say what was changed; the same text pasted twice is noticed; a file is taken', async ({
  page,
}) => {
  await visit(page, '/');
  const text = 'Twice bread\n500 g bread flour\n330 g water\n9 g salt\n4 g instant yeast';
  const box = page.getByLabel('One ingredient a line');
  await box.fill(text);
  await page.getByRole('button', { name: 'Open this recipe' }).click();
  await expect(page).toHaveURL(/\/bench\//);
  await page.getByLabel('Grams of water').fill('345');
  await page.getByLabel('Grams of fine salt').focus();
  await saved(page);
  await page.getByText('Earlier versions').click();
  await expect(page.getByText(/water 330.g → 345.g/)).toBeVisible();
  await expect(page.getByText('first version')).toBeVisible();

  await visit(page, '/');
  await box.focus();
  await page.getByLabel('From a file').setInputFiles({
    name: 'twice.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from(`${text}\n`),
  });
  await expect(page.getByText('You already have this recipe')).toBeVisible();
  await page.getByRole('link', { name: 'Twice bread' }).first().click();
  await expect(page.getByLabel('Grams of water')).toHaveValue('345');
});

test.describe('the plain bench', () => {
  test.use({ bench: 'plain' });

  test('says in what the bread is made: by hand until somebody chooses, and keeps what was chosen', async ({
    page,
  }) => {
    const id = await sourdough(page, 'In whose hands');
    await visit(page, `/bench/${id}`);
    const made = page.getByRole('group', { name: 'How it is made' });
    const by = (name: string) => made.getByRole('radio', { name });
    await expect(by('By hand')).toBeChecked();
    await by('Mixer').click();
    await saved(page);
    await visit(page, `/bench/${id}`);
    await expect(by('Mixer')).toBeChecked();
    await page.getByRole('button', { name: 'Bake this' }).click();
    await page.waitForURL(/\/bake\/.+/);
    const bake = page.url().split('/').at(-1)!;
    const method = async () =>
      (await (await page.request.get(`/api/v1/bakes/${bake}`)).json()).method as string;
    await expect.poll(method).toBe('mixer');
  });
});
