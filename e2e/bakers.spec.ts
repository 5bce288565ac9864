import type { Household } from '@tender-crumb/core/household';
import { machines, type MachineRowId } from '@tender-crumb/core/machine';
import type { Browser, Page } from '@playwright/test';
import { bakersWritten, type BakerWritten } from './bakers/written.ts';
import { expect, serve, setClock, test, type Served, recipeBox } from './fixtures.ts';
import { walks, type Seen } from './walker.ts';

/**
 * Bakers who come with a recipe of their own, to an empty kitchen, and go by what stands on the screen, by a clock that is set by
 * hand: each sentence of the recipe is followed or said to be changed, and no figure has to come from elsewhere.
 */

const evening = '2026-11-28T20:30:00Z';
const ready = (page: Page) => page.locator('html[data-ready]').waitFor({ state: 'attached' });

type Appliance = Household['appliances'][number];

/** A machine as its row has it. */
const told = (appliances: BakerWritten['appliances'] = []): Appliance[] =>
  appliances.map(({ of, ...one }: Appliance & { of?: MachineRowId }) =>
    of ? { ...one, machine: machines[of] } : one,
  );

/** From the paste to the cooled loaf. */
async function bakes(browser: Browser, at: Served, baker: BakerWritten): Promise<Seen[]> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    reducedMotion: 'reduce',
    baseURL: at.url,
  });
  const page = await context.newPage();
  await setClock(page, evening);
  if (baker.appliances) {
    const answer = await page.request.patch('/api/v1/household', {
      data: { was: { appliances: [] }, now: { appliances: told(baker.appliances) } },
    });
    expect(answer.ok(), await answer.text()).toBe(true);
  }
  if (baker.recipe === '') {
    await page.goto('/bake/first');
    await ready(page);
    await page.getByRole('button', { name: 'Everything is here: begin' }).click();
  } else {
    await page.goto('/');
    await ready(page);
    await (await recipeBox(page)).fill(baker.recipe);
    await page.getByRole('button', { name: 'Open this recipe' }).click();
    await expect(page).toHaveURL(/\/bench\/.+/);
    await ready(page);
    if (baker.made)
      await page
        .getByRole('group', { name: 'How it is made' })
        .getByText(baker.made, { exact: true })
        .click();
    const led = page.getByRole('region', { name: 'The method' }).locator('[data-led]');
    await expect(led.first()).toBeVisible();
    // Each sentence is placed; what is not followed says why.
    const placed = await led.evaluateAll((all) =>
      all.map((one) => [one.getAttribute('data-led'), (one as HTMLElement).innerText] as const),
    );
    for (const [how, says] of placed) expect(how, says).not.toBe('not-used');
    await page.getByRole('button', { name: 'Bake this' }).click();
  }
  await expect(page).toHaveURL(/\/bake\/.+/);
  await ready(page);
  if (baker.readyAt) await page.getByLabel('Ready at').fill(baker.readyAt);
  const seen = await walks(page, evening);
  await page.getByRole('radio', { name: 'good', exact: true }).click();
  await page.getByRole('button', { name: 'Save the bake' }).click();
  await context.close();
  return seen;
}

/** Facts of a baker that were nowhere on the screen where they were wanted. */
const missed = ({ facts }: BakerWritten, seen: readonly Seen[]): string[] =>
  facts.flatMap(([at, says]) =>
    seen.some((s) => at.test(s.step) && says.test(s.says)) ? [] : [`${at.source}: ${says.source}`],
  );

for (const [i, baker] of bakersWritten.entries())
  test(`${baker.name}${baker.name === 'pot loaf, lid on, lid off' ? '' : ' @long'}`, async ({
    browser,
  }) => {
    const own = await serve({ TENDER_CRUMB_DEMO: '', TENDER_CRUMB_NOW: evening });
    try {
      const seen = await bakes(browser, own, baker);
      const lost = missed(baker, seen);
      console.info(
        `${i + 1}. ${baker.name}: ${baker.facts.length - lost.length} of ${baker.facts.length}; ${seen.map((s) => s.step).join(' → ')}`,
      );
      expect(lost).toEqual([]);
      if (baker.never)
        for (const { step: at, says } of seen) expect(says, at).not.toMatch(baker.never);
      const steps = seen.map((s) => s.step).join(' | ');
      for (const without of baker.without ?? []) expect(steps).not.toMatch(without);
      // Each amount of the recipe stands somewhere in the bake.
      const all = seen.map((s) => s.says).join('\n');
      for (const [, grams] of baker.recipe.matchAll(/^([\d.]+) g\b/gm))
        expect(all, `${grams} g`).toContain(`${grams} g`);
    } finally {
      await own.stop();
    }
  });
