import { expect, test, visit } from './fixtures.ts';

test.use({ bench: 'whole' });

test('when it will be ready, warm and cold, and the yeast for a time, taken as a correction', async ({
  page,
}) => {
  await visit(page, '/bench/lockside-white');
  await page.getByRole('tab', { name: 'Rise' }).click();
  const when = page.getByRole('list', { name: 'When it will be ready' });
  await page.getByLabel('Where it stands').fill('26');
  await expect(when.getByRole('listitem').first()).toContainText(/about 1 h \d+ min/);
  await expect(
    page.getByRole('img', { name: /^The first rise: doubled after about 1 h/ }),
  ).toBeVisible();
  await page.getByLabel('Where it stands').fill('5');
  await expect(when.getByRole('listitem').first()).toContainText(/about (1 h [3-5]\d|2 h|[3-9] h)/);
  await page.getByLabel('Where it stands').fill('60');
  await expect(page.getByText(/above that yeast dies/)).toBeVisible();
  await page.getByLabel('Where it stands').fill('22');

  await page.getByLabel('First rise ready in').fill('5');
  await expect(page.getByText('stand now')).toBeVisible();
  await page.getByRole('button', { name: 'Take it', exact: true }).click();
  const grams = page.getByLabel('Grams of instant yeast');
  await expect(grams).not.toHaveValue('5');
  expect(Number(await grams.inputValue())).toBeLessThan(2);
  await page.getByLabel('First rise ready in').fill('0.2');
  await expect(page.getByText(/^Too soon:/)).toBeVisible();
  await page.getByLabel('First rise ready in').fill('soon');
  await expect(page.getByText('A number of hours, up to 96.')).toBeVisible();
});

test('a dough without flour is not told a time', async ({ page }) => {
  await visit(page, '/bench/thin-slice-seed');
  await page.getByRole('tab', { name: 'Rise' }).click();
  await expect(page.getByText(/cannot tell yet: go by the eye/)).toBeVisible();
});
