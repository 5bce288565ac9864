import { expect, serve, test, type Served, recipeBox } from './fixtures.ts';
import type { Browser, Page } from '@playwright/test';

/** What a text becomes while it is pasted, in an empty kitchen: each amount lands somewhere, and can be moved. */
let server: Served;
test.beforeAll(async () => {
  server = await serve({ TENDER_CRUMB_DEMO: '' });
});
test.afterAll(() => server.stop());

async function pastes(browser: Browser, text: string, width = 1280): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width, height: 800 },
    serviceWorkers: 'block',
    baseURL: server.url,
  });
  const page = await context.newPage();
  await page.goto('/');
  await page.locator('html[data-ready]').waitFor({ state: 'attached' });
  await (await recipeBox(page)).fill(text);
  await expect(ledger(page)).toBeVisible();
  return page;
}
const ledger = (page: Page) => page.getByRole('list', { name: 'What was read' });
const row = (page: Page, text: string) =>
  ledger(page).getByRole('listitem').filter({ hasText: text });
/** How many rows went where. */
const counts = (page: Page) => page.getByTestId('ledger').locator('.mark').allInnerTexts();

test('shows the text with each amount marked, and moves a row out of the dough and back', async ({
  browser,
}) => {
  const page = await pastes(
    browser,
    'Weir loaf\n\n500 g bread flour\n320 g water\n60 g raisins\n9 g salt\n5 g instant yeast\nFlour for dusting\n\nMethod\nKnead for 10 minutes.',
  );
  await expect(row(page, '500 g bread flour').locator('.mark.dough')).toHaveText('500 g');
  await expect(row(page, 'Flour for dusting')).toHaveAttribute('data-to', 'outside');
  await expect(row(page, 'Knead')).toHaveAttribute('data-to', 'step');
  expect((await counts(page)).map((c) => Number.parseInt(c, 10))).toEqual([5, 1, 1]);
  await row(page, '60 g raisins')
    .getByRole('button', { name: /take out/ })
    .click();
  await expect(row(page, '60 g raisins')).toHaveAttribute('data-to', 'outside');
  await row(page, '60 g raisins').getByRole('button', { name: /undo/ }).click();
  await expect(row(page, '60 g raisins')).toHaveAttribute('data-to', 'dough');
  await row(page, 'Flour for dusting')
    .getByRole('button', { name: /put in/ })
    .click();
  // It has no amount: it is asked for, and nothing is guessed.
  await expect(page.getByTestId('unread')).toHaveCount(1);
  await page.context().close();
});

test('asks about a figure that a scan misread, and about what stands in the method alone', async ({
  browser,
}) => {
  const page = await pastes(
    browser,
    '5O0 g bread flour\n320 g water\n9 g salt\n5 g instant yeast\n\nMethod\nKnead in 80 g raisins and 20 g honey.',
    390,
  );
  const asked = page.getByTestId('unread');
  await expect(asked).toHaveCount(3);
  await asked
    .first()
    .getByRole('button', { name: /500 g bread flour/ })
    .click();
  await expect(asked).toHaveCount(2);
  await page.getByRole('button', { name: 'Put them all in' }).click();
  await expect(asked).toHaveCount(0);
  await expect(ledger(page)).toContainText('500 g strong bread flour');
  await expect(ledger(page)).toContainText('80 g raisins');
  await page.getByRole('button', { name: 'Open this recipe' }).click();
  await expect(page).toHaveURL(/\/bench\/.+/);
  await page.context().close();
});

test('takes no size of several, and measures as they do where the recipe is from', async ({
  browser,
}) => {
  const page = await pastes(
    browser,
    'Machine loaf     1 lb     2 lb\nstrong white flour     300 g     450 g\ntepid water     195 g     290 g\nsalt     5 g     8 g\nyeast     3 g     5 g',
  );
  const size = page.getByRole('combobox', { name: /sizes/ });
  // One question for all four rows.
  await expect(ledger(page).locator('[data-to="question"]')).toHaveCount(4);
  await expect(page.getByTestId('unread')).toHaveCount(0);
  await size.selectOption('2 lb');
  await expect(ledger(page).locator('[data-to="question"]')).toHaveCount(0);
  await expect(ledger(page)).toContainText('450 g strong bread flour');

  await (
    await recipeBox(page)
  ).fill('450 g strong white flour\n1/2 pint tepid water\n9 g salt\n5 g instant yeast');
  await expect(ledger(page)).toContainText('237 g water');
  await page.getByRole('button', { name: 'Measure as they do there' }).click();
  await expect(ledger(page)).toContainText('284 g water');
  await page.context().close();
});
