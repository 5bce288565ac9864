import type { Locator, Page } from '@playwright/test';

/** Plans a bread on Bake day. */
export async function plan(page: Page, bread: string, moment: string): Promise<void> {
  const form = page.locator('details', { hasText: 'Plan a bread' });
  if (!(await form.getByRole('combobox', { name: /^Bread/ }).isVisible()))
    await form.locator('summary').click();
  await form.getByRole('combobox', { name: /^Bread/ }).selectOption({ label: bread });
  await form.getByRole('combobox', { name: /^When/ }).selectOption({ label: 'On the table at' });
  await form.getByLabel('Day and time').fill(moment);
  await form.getByRole('button', { name: 'Plan it' }).click();
}

const list = (page: Page) => page.getByRole('list', { name: 'Do this at' });

/** A step of the plan. */
export const row = (page: Page, step: string, bread = ''): Locator =>
  list(page).getByRole('listitem').filter({ hasText: step }).filter({ hasText: bread });
