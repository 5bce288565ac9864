import { firstLoaves } from '@tender-crumb/core/exchange';
import type { Page } from '@playwright/test';
import { expect, serve, setClock, test, type Served } from './fixtures.ts';
import { walks } from './walker.ts';

/** Each of the first loaves, by hand, in an empty kitchen, on a phone, from what to buy to when it is cut. */
let server: Served;
const morning = '2026-11-28T08:00:00Z';
test.beforeAll(async () => {
  server = await serve({ TENDER_CRUMB_DEMO: '', TENDER_CRUMB_NOW: morning });
});
test.afterAll(() => server.stop());

const offered = ['White tin loaf', 'Plain rolls', 'Hearth loaf without kneading'];
const machinery = /\bpaddle|\bsignal\b|\bprogramme\b|\bbread machine\b/i;
const ready = (page: Page) => page.locator('html[data-ready]').waitFor({ state: 'attached' });
const narrow = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth);

for (const loaf of firstLoaves)
  test(`${loaf.name}, bought, weighed, baked and cut${offered.includes(loaf.name) ? '' : ' @long'}`, async ({
    browser,
  }) => {
    const context = await browser.newContext({
      viewport: { width: 390, height: 800 },
      serviceWorkers: 'block',
      reducedMotion: 'reduce',
      baseURL: server.url,
    });
    const page = await context.newPage();
    await setClock(page, morning);
    if (offered.includes(loaf.name)) {
      await page.goto('/bake/first');
      await ready(page);
      await page.getByRole('button', { name: loaf.name }).click();
      const list = page.getByRole('region', { name: 'Buy this' });
      await expect(list.getByRole('listitem').first()).toBeVisible();
      await expect(list).not.toContainText(/tap/);
      await page.getByRole('button', { name: 'Everything is here: begin' }).click();
    } else {
      const id = loaf.name.toLowerCase().replaceAll(' ', '-');
      const answer = await page.request.put(`/api/v1/formulas/${id}`, {
        data: { version: 0, formula: { ...loaf, device: 'hand' } },
      });
      expect(answer.ok(), await answer.text()).toBe(true);
      await page.goto(`/bench/${id}`);
      await ready(page);
      expect(await narrow(page)).toBeLessThanOrEqual(390);
      await page.getByRole('button', { name: 'Bake this' }).click();
    }
    await expect(page).toHaveURL(/\/bake\/.+/);
    await ready(page);
    const seen = await walks(page, morning);
    expect(seen.at(-1)!.step).toBe('Result');
    expect(await narrow(page)).toBeLessThanOrEqual(390);
    const all = seen.map((s) => s.says).join('\n');
    for (const { step, says } of seen) expect(says, step).not.toMatch(machinery);
    // A starter is weighed as one thing: it is fed by what the jar wants.
    for (const { kind, lines } of loaf.stages)
      for (const { grams } of kind === 'starter'
        ? [{ grams: lines.reduce((sum, l) => sum + l.grams, 0) }]
        : lines.filter((l) => l.grams >= 1))
        expect(all, `${loaf.name}: ${grams} g`).toMatch(new RegExp(`\\b${Math.round(grams)}`));
    // Each sentence of its own recipe stands somewhere.
    for (const { says } of loaf.steps ?? []) expect(all).toContain(says.split(/[.;]/)[0]!.trim());
    // It was hot before the bread went in: the gate of the cold oven stood nowhere.
    expect(all).not.toContain('The oven is not on yet');
    // It is over, and its oven free for the next.
    await page.getByRole('radio', { name: 'good', exact: true }).click();
    await page.getByRole('button', { name: 'Save the bake' }).click();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await context.close();
  });
