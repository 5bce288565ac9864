import type { Browser, Page } from '@playwright/test';
import { rmSync } from 'node:fs';
import { barriers } from './barriers.ts';
import { expect, serve, test, toStep, unfoldMore, visit } from './fixtures.ts';
import { tooLow } from './too-low.ts';

/** Pages in states that nobody stands in for long, on a tablet that is touched, light and dark. */

const tablet = (browser: Browser, baseURL: string, colorScheme: 'light' | 'dark') =>
  browser.newPage({
    baseURL,
    colorScheme,
    viewport: { width: 810, height: 1080 },
    hasTouch: true,
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
  });

/** Nothing bars anybody, and everything is high enough for a finger. */
async function usable(page: Page, state: string, least: number, low = 'main'): Promise<void> {
  expect(await barriers(page), state).toEqual([]);
  expect(await tooLow(page, least, low), state).toEqual([]);
}

const recipe = 'Weir loaf\n4 cups bread flour\n1 cup water\n9 g salt\n2 blobs of grompf\n3 g yeast';

for (const theme of ['light', 'dark'] as const) {
  test(`an empty kitchen and all that it asks, ${theme}`, async ({ browser }) => {
    const empty = await serve({ TENDER_CRUMB_DEMO: '' });
    const page = await tablet(browser, empty.url, theme);
    const later = page.getByRole('button', { name: 'Ask me later' });
    await visit(page, '/');
    await usable(page, 'doors', 44);
    await page.getByRole('button', { name: 'I have a recipe' }).click();
    await page.getByRole('textbox', { name: 'One ingredient a line' }).fill(recipe);
    await expect(page.getByTestId('ask')).toBeVisible();
    await usable(page, 'a row is asked', 44);
    await later.click();
    await expect(page.getByRole('group', { name: 'How big is your cup?' })).toBeVisible();
    await usable(page, 'the cup is asked', 44);
    await page.getByRole('button', { name: 'Open this recipe' }).click();
    await page.waitForURL(/\/bench\/.+/);
    await page.getByRole('radio', { name: 'Bread machine' }).click();
    const machine = page.getByRole('group', { name: 'Which bread machine is most like yours?' });
    // One thing at a time: what else the bench asks is put off first.
    while (!(await machine.isVisible())) await later.click();
    await usable(page, 'the machine is asked', 44);
    await page.getByRole('radio', { name: 'By hand' }).click();
    await page.getByRole('button', { name: 'Bake this' }).click();
    await page.waitForURL(/\/bake\/.+/);
    await expect(page.getByRole('group', { name: 'What does your oven show?' })).toBeVisible();
    await usable(page, 'the degrees are asked', 56, '.step-card .work');
    await unfoldMore(page);
    await expect(page.getByRole('button', { name: 'Cancel this bake' })).toBeVisible();
    await usable(page, 'more of a bake', 44);
    await toStep(page, 'Dough check');
    await later.click();
    await usable(page, 'the hands are asked', 56, '.step-card .work');
    await page.close();
    await empty.stop();
    rmSync(empty.folder, { recursive: true, force: true });
  });

  test(`drawers over the sheet, ${theme}`, async ({ browser, server }) => {
    const page = await tablet(browser, server.url, theme);
    await page.context().addCookies([{ name: 'bench', value: 'whole', url: server.url }]);
    await visit(page, '/bench/lockside-white');
    for (const name of ['Salt', 'Goal', 'Leaven']) {
      await page.getByRole('tab', { name }).click();
      await expect(page.getByRole('tabpanel')).not.toContainText('One moment');
      await usable(page, name, 44, '[role=tabpanel]');
      await page.keyboard.press('Escape');
    }
    await page.close();
  });
}
