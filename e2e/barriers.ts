import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

const wcag = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** What keeps somebody from using what stands on a page, or in a part of it. */
export async function barriers(page: Page, part = 'html'): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .include(part)
    .options({ runOnly: wcag, resultTypes: ['violations'] })
    // There are no frames here to be put together in a page of their own.
    .setLegacyMode()
    .analyze();
  return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).join(' | ')}`);
}
