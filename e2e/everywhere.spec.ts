import { barriers } from './barriers.ts';
import { tooLow } from './too-low.ts';
import { expect, test, visit, toLine } from './fixtures.ts';

const pages = [
  ['Shelf', '/'],
  ['Shelf, nothing found', '/?find=nothing-of-this-name'],
  ['Bench', '/bench/wash-house-hundred'],
  ['Bench of a sourdough', '/bench/towpath-sourdough'],
  ['Bake day', '/bake'],
  ['Book', '/book'],
  ['Book of one bread', '/book?formula=lockside-white'],
  ['Pantry', '/pantry'],
  ['Figures', '/pantry/figures'],
  ['Devices', '/pantry/devices'],
  ['Kitchen and equipment', '/pantry/kitchen'],
  ['Starters and yeast', '/pantry/leavens'],
  ['Nothing here', '/nowhere'],
] as const;

const sizes = [
  [1280, 800],
  [1280, 720],
  [1024, 768],
  [768, 1024],
  [390, 844],
] as const;

for (const [name, path] of pages) {
  test(`${name} is accessible, fits every width and does not complain`, async ({ page }) => {
    const complaints: string[] = [];
    page.on('console', (m) => {
      const missing = path === '/nowhere' && m.text().includes('404');
      // The worker is kept out of these tests, and says so.
      const held = m.text().includes('Service Worker registration blocked');
      if ((m.type() === 'error' || m.type() === 'warning') && !missing && !held)
        complaints.push(m.text());
    });
    page.on('pageerror', (e) => complaints.push(e.message));
    await visit(page, path);
    expect(await barriers(page)).toEqual([]);
    await page.emulateMedia({ colorScheme: 'dark' });
    expect(await barriers(page), 'dark').toEqual([]);
    await page.emulateMedia({ colorScheme: 'light' });
    for (const [width, height] of sizes) {
      await page.setViewportSize({ width, height });
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(over, `${width} × ${height}`).toBeLessThanOrEqual(0);
      // The sheet's columns are fixed: what is left for the names must be enough to read one.
      const widths = await page
        .locator('td.name')
        .evaluateAll((cells) => cells.map((c) => c.getBoundingClientRect().width));
      expect(Math.min(...widths, Infinity), `${width} × ${height}`).toBeGreaterThan(100);
    }
    expect(complaints).toEqual([]);
  });
}

test('the drawers of the bench and the swap are accessible', async ({ page }) => {
  await visit(page, '/bench/thin-slice-seed');
  const drawers = ['How sure', 'Strength and mixing', 'Salt', 'Slices', 'Goal'];
  for (const name of drawers) {
    await page.getByRole('tab', { name }).click();
    await expect(page.getByRole('tabpanel')).not.toContainText('One moment');
    expect(await barriers(page, '[role=tabpanel]'), name).toEqual([]);
  }
  await toLine(page, 'honey', 'Something in its place');
  await page.getByRole('dialog').getByRole('button', { name: 'erythritol' }).click();
  expect(await barriers(page, '[role=dialog]')).toEqual([]);
});

test('a bake is accessible at every step', { tag: '@long' }, async ({ page, request }) => {
  const begun = await request.post('/api/v1/bakes', {
    data: { formulaId: 'lockside-white', formulaVersion: 1, method: 'hand' },
  });
  const { id } = (await begun.json()) as { id: string };
  await visit(page, `/bake/${id}`);
  const steps = page.getByRole('navigation', { name: 'Steps of the bake' }).getByRole('button');
  expect(await steps.count()).toBeGreaterThan(8);
  for (const step of await steps.all()) {
    const name = await step.textContent();
    await step.click();
    expect(await barriers(page, 'main'), name!).toEqual([]);
    // What is done with floury hands is high enough for a knuckle.
    expect(await tooLow(page, 56, '.actions'), name!).toEqual([]);
    expect(await tooLow(page, 44, 'main'), name!).toEqual([]);
  }
  await visit(page, '/bake/rescue');
  expect(await barriers(page, 'main')).toEqual([]);
  await visit(page, '/bake/first');
  expect(await barriers(page, 'main')).toEqual([]);
});

test('the theme is chosen by a switch and holds before the first paint', async ({ page }) => {
  await visit(page, '/');
  await page.getByRole('button', { name: /^Theme/ }).click();
  await page.getByRole('button', { name: /^Theme/ }).click();
  const response = await page.reload();
  expect(await response!.text()).toContain('data-theme="dark"');
});

test('the sheet of keys opens by ? and places by g', async ({ page }) => {
  await visit(page, '/');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('g');
  await page.keyboard.press('b');
  await expect(page).toHaveURL(/\/book$/);
});
