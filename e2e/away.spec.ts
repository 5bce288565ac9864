import type { Page } from '@playwright/test';
import { expect, serve, test, toStep, visit, type Served } from './fixtures.ts';

/** Waits until the page fetches nothing more, idle as it is. */
async function allFetched(page: Page): Promise<void> {
  let before = -1;
  await expect
    .poll(
      async () => {
        const now = await page.evaluate(() => performance.getEntriesByType('resource').length);
        const same = now === before;
        before = now;
        return same;
      },
      { intervals: [2000], timeout: 60_000 },
    )
    .toBe(true);
}

/** Pages on plain http, where no worker stands between: what is open stays open. */
test.describe('the server away, on pages that are open', () => {
  test('a bake is begun, tapped and ended with the server away; back, it has all of it', async ({
    page,
  }) => {
    test.slow();
    const server = await serve();
    let back: Served | undefined;
    try {
      await visit(page, `${server.url}/bench/lockside-white`);
      const before = await (await page.request.get(`${server.url}/api/v1/bakes`)).json();
      await allFetched(page);
      await server.stop('SIGKILL');

      await page.getByRole('button', { name: 'Bake this' }).click();
      await expect(page).toHaveURL(/\/bake\//, { timeout: 20_000 });
      await toStep(page, 'Weigh and load');
      await page.getByRole('button', { name: 'All in: it runs' }).click();
      await expect(page.getByText('The server is away.')).toBeVisible();
      await toStep(page, 'How it came out');
      await page.getByRole('radio', { name: 'as it should be', exact: true }).click();
      await page.getByRole('button', { name: 'Write it in the book' }).click();
      await expect(page.getByRole('heading', { name: 'Written down here' })).toBeVisible();
      const id = page.url().split('/').pop()!;

      back = await serve({ PORT: new URL(server.url).port }, server.folder);
      await page.getByRole('button', { name: 'Try now' }).click();
      await expect(page.getByRole('heading', { name: 'What this bake taught' })).toBeVisible({
        timeout: 30_000,
      });
      const bakes = await (await page.request.get(`${server.url}/api/v1/bakes`)).json();
      expect(bakes.total).toBe(before.total + 1);
      const bake = await (await page.request.get(`${server.url}/api/v1/bakes/${id}`)).json();
      expect(bake.forecast).toBeTruthy();
      expect(bake.otherwise).toBeUndefined();
      expect(
        bake.events.some(
          (e: { kind: string; data: { sense?: string } }) => e.data.sense === 'done',
        ),
      ).toBe(true);
    } finally {
      await server.stop();
      await back?.stop();
    }
  });
});
