import { expect, type Page } from '@playwright/test';

/** The doors of an empty kitchen, each as a newcomer goes through it to the first grams; what is tapped is counted. */
export const doors = ['I have a recipe', 'I have never baked', 'My dough is in trouble'] as const;
export type Door = (typeof doors)[number];

const recipe = `Morning loaf

500 g strong white flour
320 g water
9 g salt
5 g instant yeast`;

/** How many taps it took, a paste counting as one, until something was weighed or told in grams. */
export async function firstMinute(page: Page, door: Door): Promise<number> {
  let taps = 0;
  const tap = async (name: string | RegExp) => {
    await page.getByRole('button', { name }).or(page.getByRole('link', { name })).first().click();
    taps += 1;
  };
  const tick = async () => {
    await page.locator('button.tick').first().click();
    taps += 1;
    await expect(page.locator('button.tick').first()).toHaveAttribute('aria-pressed', 'true');
  };
  await page.goto('/');
  await page.locator('html[data-ready]').waitFor({ state: 'attached' });
  await tap(new RegExp(`^${door}`));
  if (door === 'I have a recipe') {
    await page.getByRole('textbox', { name: 'One ingredient a line' }).fill(recipe);
    taps += 1;
    await tap('Open this recipe');
    await tap('Bake this');
    await page.waitForURL(/\/bake\/.+/);
    await tick();
  } else if (door === 'I have never baked') {
    await page.waitForURL(/\/bake\/first/);
    await tap(/begin$/);
    await page.waitForURL((url) => /\/bake\/(?!first)[^/]+$/.test(url.pathname));
    await tick();
  } else {
    await page.waitForURL(/\/bake\/rescue/);
    await tap(/slack/);
    await expect(page.getByRole('region', { name: 'What to do now' })).toContainText(
      /tablespoon|\d\sg/,
    );
  }
  return taps;
}
