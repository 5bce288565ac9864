import { expect, serve, test, toStep, type Served, recipeBox } from './fixtures.ts';

/** The bake that is led is the bake that was written: a recipe's own method, from the paste to the lid that comes off. */
let server: Served;
test.beforeAll(async () => {
  server = await serve({ TENDER_CRUMB_DEMO: '' });
});
test.afterAll(() => server.stop());

const potLoaf = `Pot loaf

450 g strong white flour
50 g whole rye flour
350 g water
10 g salt
5 g instant yeast

Method
Mix everything and knead for 8 minutes.
Let it rise for 1 hour. Fold it twice, every 20 minutes.
Shape it and proof for 45 minutes.
Heat the oven to 240 °C with the pot in it.
Bake covered for 20 minutes at 240 °C, uncover, lower to 210 °C and bake 20 minutes more.
My aunt always sang to it.`;

test('each sentence of a method is placed, and a bake goes by its parts: lid on, lid off', async ({
  browser,
}) => {
  const context = await browser.newContext({ serviceWorkers: 'block', baseURL: server.url });
  const page = await context.newPage();
  await page.clock.install();
  await page.goto('/');
  await page.locator('html[data-ready]').waitFor({ state: 'attached' });
  await (await recipeBox(page)).fill(potLoaf);
  await page.getByRole('button', { name: 'Open this recipe' }).click();
  const method = page.getByRole('region', { name: 'The method' });
  await expect(method.getByRole('textbox', { name: 'Step 6' })).toBeVisible();
  const led = await method
    .locator('[data-led]')
    .evaluateAll((all) => all.map((one) => one.getAttribute('data-led')));
  // Seven sentences in six steps: none is gone, and what is not used is said.
  expect(led).toHaveLength(7);
  expect(led.at(-1)).toBe('not-used');
  expect(led.filter((l) => l === 'followed').length).toBeGreaterThanOrEqual(4);

  // A step is written anew, and another left out.
  await method.getByRole('button', { name: 'Leave step 6 out' }).click();
  await expect(method.getByRole('textbox', { name: 'Step 6' })).toHaveCount(0);
  await method.getByRole('textbox', { name: 'Step 3' }).fill('Shape it and proof for 50 minutes.');
  await method.getByRole('textbox', { name: 'Step 3' }).blur();
  await expect(method.getByRole('textbox', { name: 'Step 3' })).toHaveValue(/50 minutes/);
  // A figure of the sheet is written into the recipe's own words.
  const kneads = method.getByRole('textbox', { name: 'Weigh, mix and knead, minutes' });
  await expect(kneads).toHaveValue('8');
  await kneads.fill('9');
  await kneads.blur();
  await expect(method.getByRole('textbox', { name: 'Step 1' })).toHaveValue(
    'Mix everything and knead for 9 minutes.',
  );
  await kneads.fill('No time');
  await kneads.blur();
  await expect(method.getByRole('alert')).toContainText('Minutes, such as 40');

  await page.getByRole('button', { name: 'Bake this' }).click();
  await expect(page).toHaveURL(/\/bake\/.+/);
  await page.locator('html[data-ready]').waitFor({ state: 'attached' });
  // Where a step takes another time than its recipe says, it says so beside the recipe's words.
  await toStep(page, /^First rise/);
  await expect(page.getByText('“Let it rise for 1 hour.”')).toBeVisible();
  await expect(page.getByText(/^Changed: .* more, for this dough/)).toBeVisible();
  await toStep(page, /^Bake/);
  await expect(page.getByText(/^“Bake covered/)).toBeVisible();
  await expect(page.getByText(/^Changed:/)).toHaveCount(0);
  await page.getByRole('button', { name: 'In the oven', exact: true }).click();
  const parts = page.getByRole('list', { name: 'Its parts' });
  await expect(parts.locator('[aria-current]')).toContainText('lid on');
  await expect(page.locator('b.figure', { hasText: '240' })).toBeVisible();
  await page.clock.fastForward('21:00');
  await expect(parts.locator('[aria-current]')).toContainText('lid off');
  await expect(page.locator('b.figure', { hasText: '210' })).toBeVisible();
  await context.close();
});
