import type { Page } from '@playwright/test';

/** Goes to a page and waits until its scripts have taken over, as a person's hands do. */
export const visit = async (page: Page, path: string): Promise<void> => {
  await page.goto(path, { waitUntil: 'networkidle' });
};
