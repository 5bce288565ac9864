import type { Page } from '@playwright/test';
import { reload, expect, test, visit } from './fixtures.ts';

test.use({ household: 'book' });

const stages = [
  {
    id: 's1',
    kind: 'dough',
    name: 'Dough',
    lines: [
      { id: 'a', ingredient: 'bread-flour', grams: 500 },
      { id: 'b', ingredient: 'water', grams: 270 },
      { id: 'c', ingredient: 'sugar', grams: 40 },
      { id: 'd', ingredient: 'salt', grams: 10 },
      { id: 'e', ingredient: 'instant-yeast', grams: 5 },
    ],
  },
];
async function made(page: Page, more: Record<string, unknown>): Promise<string> {
  const answer = await page.request.post('/api/v1/formulas', { data: { stages, ...more } });
  expect(answer.ok(), await answer.text()).toBe(true);
  return ((await answer.json()) as { id: string }).id;
}
const saved = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();

test.describe('what is sure, and what is asked', () => {
  test('a bread that is guessed is asked about once, and its water is surer when it is told', async ({
    page,
  }) => {
    const id = await made(page, { name: 'Bread of the board', style: 'pan', styleGuessed: true });
    await visit(page, `/bench/${id}`);
    const question = page.getByText('Which bread is it?');
    await expect(question).toBeVisible();
    const answers = question
      .locator('..')
      .getByRole('button')
      .filter({ hasNotText: 'Ask me later' });
    await expect(answers).toHaveCount(2);
    await answers.first().click();
    await expect(question).toHaveCount(0);
    await saved(page);
    await reload(page);
    await expect(page.getByTestId('verdict')).toBeVisible();
    await expect(question).toHaveCount(0);
    const { formula } = (await (await page.request.get(`/api/v1/formulas/${id}`)).json()) as {
      formula: { styleGuessed?: true };
    };
    expect(formula.styleGuessed).toBe(undefined);
  });

  test('the range that it tells is right to its ends: inside nothing is called for, outside it is', async ({
    page,
  }) => {
    const id = await made(page, { name: 'Ranged', style: 'pan' });
    await visit(page, `/bench/${id}`);
    const rooms = page.getByTestId('rooms');
    await expect(rooms).toContainText('of water');
    const [, from, to] = /, or ([\d.]+) to ([\d.]+)\sg of water/.exec(
      (await rooms.textContent())!.replace(/\s+/g, ' '),
    )!;
    const water = page.getByLabel('Grams of water');
    const fits = page.locator('[data-testid="verdict"].text-act');
    for (const [grams, off] of [
      [Number(from) + 1, 0],
      [Number(to) - 1, 0],
      [Number(from) - 2, 1],
      [Number(to) + 2, 1],
    ] as const) {
      await water.fill(String(grams));
      await water.blur();
      await expect(fits, `${grams} g`).toHaveCount(off);
    }
  });

  test('sugar that is taken out says what that does; what keeps the dough as firm is one tap, and so is the sugar', async ({
    page,
  }) => {
    const id = await made(page, { name: 'Without sugar', style: 'pan' });
    await visit(page, `/bench/${id}`);
    const sugar = page.getByLabel('Grams of sugar');
    await sugar.fill('0');
    await sugar.blur();
    const gone = page.getByRole('status').filter({ hasText: 'Without 40 g of sugar' });
    await expect(gone).toContainText(/points firmer.*faster.*browns less/);
    await gone.getByRole('button', { name: 'Bring it back' }).click();
    await expect(sugar).toHaveValue('40');
    await expect(gone).toHaveCount(0);
    await sugar.fill('0');
    await sugar.blur();
    const keeps = gone.getByRole('button', { name: /keeps the dough as firm/ });
    const [, grams] = /([\d.]+)\sg water/.exec((await keeps.textContent())!)!;
    await keeps.click();
    await expect(page.getByLabel('Grams of water')).toHaveValue(String(270 + Number(grams)));
  });
});

test.describe('hands and trials', () => {
  test('a hand is tried on three doughs; what it felt stands there, and goes when it is forgotten', async ({
    page,
  }) => {
    await visit(page, '/pantry/kitchen');
    const form = page.getByRole('region', { name: 'Who bakes' });
    const task = form.locator('details').filter({ hasText: /^\s*Try Joris’s touch/ });
    await task.locator('summary').click();
    await expect(task).toContainText('Slide all three');
    const doughs = task.getByRole('slider');
    await expect(doughs).toHaveCount(3);
    for (const [i, presses] of [2, 6, 10].entries()) {
      await doughs.nth(i).focus();
      for (let n = 0; n < presses; n += 1) await doughs.nth(i).press('ArrowRight');
    }
    await task.getByRole('button', { name: 'This is how they feel' }).click();
    const tried = form.locator('summary', { hasText: 'Joris’s touch was tried on' });
    await expect(tried).toContainText('+1.0, +3.0, +5.0');
    await reload(page);
    await expect(tried).toContainText('+1.0, +3.0, +5.0');
    await tried.click();
    await form.getByRole('button', { name: 'Forget it' }).click();
    await expect(tried).toHaveCount(0);
    await reload(page);
    await expect(form.locator('summary', { hasText: 'Try Joris’s touch' })).toBeVisible();
  });

  test('a trial that is asked stands on the shelf, turn about, until it is ended', async ({
    page,
  }) => {
    await visit(page, '/book/helped?formula=porridge-rolls');
    const suggested = page.getByRole('region', { name: 'What to try next' });
    await suggested.getByRole('button', { name: 'Try it in turn' }).click();
    const trying = page.getByRole('region', { name: /^You are trying/ });
    await expect(trying).toContainText('Next bake:');
    await expect(trying).toContainText(/\d+ more bakes?, with and without/);
    await visit(page, '/');
    const row = page.getByRole('listitem').filter({ hasText: 'Porridge-oat rolls' }).first();
    await expect(row).toContainText(/Trial, this time with/);
    await page.goBack();
    await trying.getByRole('button', { name: 'End the trial' }).click();
    await expect(suggested).toBeVisible();
    await visit(page, '/');
    await expect(page.getByText(/Trial, this time/)).toHaveCount(0);
  });
});
