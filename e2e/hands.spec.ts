import { testTime } from '../scripts/test-clock.mjs';
import type { Page } from '@playwright/test';
import { reload, expect, giveUpAll, test, toStep, visit } from './fixtures.ts';

test.use({ household: 'baking' });

/** What is said of the bake that the page shows, as another device would say it. */
const says = async (page: Page, ...said: ReadonlyArray<readonly [kind: string, data: object]>) => {
  const id = page.url().split('/').at(-1)!;
  const events = said.map(([kind, data], i) => ({
    id: `${kind}-${i}`,
    at: testTime().toISOString(),
    kind,
    data,
  }));
  const answer = await page.request.post(`/api/v1/bakes/${id}/events`, { data: { events } });
  expect(answer.ok()).toBe(true);
};
const written = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();

test.describe('the hands that bake, and the thermometer', () => {
  test.beforeEach(async ({ page }) => giveUpAll(page));

  test('each hand fills a cup its own way: named in the pantry, asked at the bowl, learned by name', async ({
    page,
  }) => {
    await visit(page, '/pantry/kitchen');
    const form = page.getByRole('region', { name: 'Who bakes' });
    await form.getByLabel('Name').fill('Joris');
    await form.getByRole('button', { name: 'Add it' }).click();
    await expect(form.getByRole('alert')).toHaveText('Joris stands there already.');
    await form.getByLabel('Name').fill('Wim');
    await form.getByRole('button', { name: 'Add it' }).click();
    await expect(form.getByLabel('Also').last()).toHaveValue('Wim');
    const kept = async () => (await page.request.get('/api/v1/household')).text();
    await expect.poll(kept).toContain('Wim');
    await reload(page);
    await expect(form.getByLabel('Also').last()).toHaveValue('Wim');

    await visit(page, '/bench/porridge-rolls');
    await expect(page.getByLabel('Cups filled by')).toHaveValue('usual');
    await page.getByLabel('Cups filled by').selectOption('Joris');
    // The next bake of this device is his; a bread that is weighed does not ask.
    await page.getByRole('button', { name: 'Bake this' }).click();
    await expect(page).toHaveURL(/\/bake\//);
    await toStep(page, 'Weigh the ingredients');
    const hands = page.getByRole('group', { name: 'Who fills the cups' });
    await expect(hands.getByRole('button', { pressed: true })).toHaveText('Joris');
    await hands.getByRole('button', { name: 'Maud' }).click();
    await expect(hands.getByRole('button', { pressed: true })).toHaveText('Maud');
    await page.getByRole('button', { name: 'Undo: who bakes it' }).click();
    await toStep(page, 'Weigh the ingredients');
    await expect(hands.getByRole('button', { pressed: true })).toHaveText('Joris');
    await written(page);
    // Far stiffer than was thought, whatever was thought on this day.
    const id = page.url().split('/').pop()!;
    const bake = await (await page.request.get(`/api/v1/bakes/${id}`)).json();
    const { points } = (bake as { forecast: { points: number } }).forecast;
    await says(page, ['felt', { points: points - 8 }], ['finished', {}]);

    await visit(page, '/book/learned');
    await page
      .getByRole('link', { name: 'a cup of flour as Joris fills it is heavier by' })
      .click();
    await expect(page.getByRole('heading', { name: /the evidence/ })).toBeVisible();
    await expect(
      page.getByRole('listitem').filter({ hasText: 'Porridge-oat rolls' }),
    ).toContainText('+');
    await visit(page, '/bench/wash-house-hundred');
    await expect(page.getByRole('button', { name: 'Bake this' })).toBeVisible();
    await expect(page.getByLabel('Cups filled by')).toHaveCount(0);
  });

  test('how warm the water was and the dough came out: kneading is learned, and what it rests on', async ({
    page,
  }) => {
    const data = { formulaId: 'wash-house-hundred', formulaVersion: 1, method: 'hand' };
    const begun = await page.request.post('/api/v1/bakes', { data });
    const { id } = (await begun.json()) as { id: string };
    await visit(page, `/bake/${id}`);
    await toStep(page, 'Weigh the ingredients');
    await expect(page.getByText(/for a\s+dough of/)).toBeVisible();
    const water = page.getByLabel(/^Water, °/);
    await water.fill('700');
    await water.press('Enter');
    await expect(page.getByRole('alert')).toContainText(/A temperature between 0\s°C and 70\s°C/);
    await expect(water).toHaveValue('700');
    await water.fill('24');
    await water.press('Enter');
    await expect(page.getByText(/Water: 24\s°C/)).toBeVisible();
    await toStep(page, 'Weigh, mix and knead');
    await page.getByLabel(/^Dough, °/).fill('29');
    await page.getByLabel(/^Dough, °/).press('Enter');
    await expect(page.getByText(/Dough: 29\s°C/)).toBeVisible();
    // What was wanted of the water is not made to fit what came of it.
    await toStep(page, 'Weigh the ingredients');
    await expect(page.getByText(/Water: 24\s°C/)).toBeVisible();
    await expect(page.getByText(/for a\s+dough of/)).toHaveCount(0);
    await written(page);
    await says(page, ['finished', {}]);
    await visit(page, `/book/${id}`);
    await expect(page.getByText(/Water 24\s°C, dough 29\s°C/)).toBeVisible();
    await expect(page.getByText(/kneading \(by hand\) warms a dough by/)).toBeVisible();
    await visit(page, '/book/learned');
    await page.getByRole('link', { name: 'kneading (by hand) warms a dough by' }).click();
    await expect(
      page.getByRole('listitem').filter({ hasText: 'Wash-house hundred' }).first(),
    ).toContainText('°C');
  });
});
