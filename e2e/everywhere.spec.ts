import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { visit } from './visit.ts';

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
  ['Nothing here', '/nowhere'],
] as const;

for (const theme of ['light', 'dark'] as const) {
  test.describe(`${theme} theme`, () => {
    test.use({ colorScheme: theme });
    for (const [name, path] of pages) {
      test(`${name} is accessible`, async ({ page }) => {
        await visit(page, path);
        const { violations } = await new AxeBuilder({ page })
          .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
          .analyze();
        expect(
          violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(' | ')}`),
        ).toEqual([]);
      });
    }

    test('the drawers of the bench and the swap are accessible', async ({ page }) => {
      await visit(page, '/bench/thin-slice-seed');
      for (const name of ['How sure', 'Strength and mixing', 'Salt', 'Slices', 'Goal']) {
        await page.getByRole('tab', { name }).click();
        await page.waitForLoadState('networkidle');
        const { violations } = await new AxeBuilder({ page }).analyze();
        expect(
          violations.map((v) => `${name} ${v.id}: ${v.nodes.map((n) => n.target).join(' | ')}`),
        ).toEqual([]);
      }
      await page.getByRole('button', { name: 'Put something in place of honey' }).click();
      await page.getByRole('dialog').getByRole('button', { name: 'erythritol' }).click();
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(' | ')}`)).toEqual(
        [],
      );
    });

    test('a bake is accessible at every step', async ({ page, request }) => {
      const begun = await request.post('/api/v1/bakes', {
        data: { formulaId: 'lockside-white', formulaVersion: 1, method: 'hand' },
      });
      const { id } = (await begun.json()) as { id: string };
      await visit(page, `/bake/${id}`);
      for (const step of ['1 Weigh', '2 Dough check', '3 How it came out']) {
        await page.getByRole('button', { name: step }).click();
        const { violations } = await new AxeBuilder({ page }).analyze();
        expect(
          violations.map((v) => `${step} ${v.id}: ${v.nodes.map((n) => n.target).join(' | ')}`),
        ).toEqual([]);
      }
    });
  });
}

const sizes = [
  [1280, 800],
  [1280, 720],
  [1024, 768],
  [768, 1024],
  [390, 844],
] as const;

for (const [width, height] of sizes) {
  test(`no page runs out of its width at ${width} × ${height}`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    for (const [, path] of pages) {
      await visit(page, path);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(over, path).toBeLessThanOrEqual(0);
      // The sheet's columns are fixed: what is left for the names must be enough to read one.
      for (const name of await page.locator('td.name').all()) {
        expect((await name.boundingBox())!.width, path).toBeGreaterThan(100);
      }
    }
  });
}

test('no page complains in the console', async ({ page }) => {
  const complaints: string[] = [];
  page.on('console', (m) => {
    if (m.type() === 'error' || m.type() === 'warning') complaints.push(m.text());
  });
  page.on('pageerror', (e) => complaints.push(e.message));
  for (const [, path] of pages.filter(([, p]) => p !== '/nowhere')) {
    await visit(page, path);
  }
  expect(complaints).toEqual([]);
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
