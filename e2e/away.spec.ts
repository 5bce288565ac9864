import type { Page } from '@playwright/test';
import {
  reload,
  allFetched,
  expect,
  serve,
  test,
  toStep,
  unfoldMore,
  visit,
  type Served,
} from './fixtures.ts';

/** Pages on plain http, where no worker stands between: what is open stays open. */
test.describe('the server away, on pages that are open', () => {
  test('a bake is begun, tapped and ended with the server away; back, it has all of it', async ({
    page,
  }) => {
    const server = await serve();
    let back: Served | undefined;
    try {
      await visit(page, `${server.url}/bench/lockside-white`);
      const before = await (await page.request.get(`${server.url}/api/v1/bakes`)).json();
      await allFetched(page);
      await server.stop('SIGKILL');

      await page.getByRole('button', { name: 'Bake this' }).click();
      await expect(page).toHaveURL(/\/bake\//);
      await toStep(page, 'Weigh the ingredients');
      await page.getByRole('button', { name: 'All in, machine started' }).click();
      await expect(page.getByText('The server is away.')).toBeVisible();
      await toStep(page, 'Result');
      await page.getByRole('radio', { name: 'excellent', exact: true }).click();
      await page.getByRole('button', { name: 'Save the bake' }).click();
      await expect(page.getByRole('heading', { name: 'Saved here' })).toBeVisible();
      const id = page.url().split('/').pop()!;

      back = await serve({ PORT: new URL(server.url).port }, server.folder);
      await page.getByRole('button', { name: 'Try now' }).click();
      await expect(page.getByRole('heading', { name: 'What this bake taught' })).toBeVisible();
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

  test(
    'a bread without a formula is begun and ended away; a timer set away is shown at once',
    { tag: '@long' },
    async ({ page }) => {
      const server = await serve();
      let back: Served | undefined;
      try {
        await visit(page, `${server.url}/bake`);
        await allFetched(page);
        await server.stop('SIGKILL');
        const timers = page.getByRole('region', { name: 'Timers' });
        await timers.getByLabel('What for').fill('Tea');
        await timers.getByLabel('Minutes').fill('45');
        await timers.getByRole('button', { name: 'Set' }).click();
        await expect(timers.getByRole('listitem').filter({ hasText: 'Tea' })).toBeVisible();
        await page.getByLabel(/^Log a bake without a recipe/).fill('Flat bread');
        await page.getByRole('button', { name: 'Bake it' }).click();
        await expect(page.getByRole('heading', { name: 'Flat bread' })).toBeVisible();
        const id = page.url().split('/').pop()!;
        await page.getByRole('radio', { name: 'good', exact: true }).click();
        await page.getByRole('button', { name: 'Save the bake' }).click();
        await expect(page.getByText('Kept in this browser')).toBeVisible();

        back = await serve({ PORT: new URL(server.url).port }, server.folder);
        await page.getByRole('button', { name: 'Try now' }).click();
        await expect(page.getByText('Saved', { exact: true })).toBeVisible();
        const bake = await (await page.request.get(`${server.url}/api/v1/bakes/${id}`)).json();
        expect(bake.events.map((e: { kind: string }) => e.kind)).toEqual(['outcome', 'finished']);
        const { timers: kept } = await (
          await page.request.get(`${server.url}/api/v1/plans`)
        ).json();
        expect(kept.map((t: { name: string }) => t.name)).toContain('Tea');
      } finally {
        await server.stop();
        await back?.stop();
      }
    },
  );
});

/** Begins a bake from its bench; gives its id. */
async function begun(page: Page, server: Served): Promise<string> {
  await visit(page, `${server.url}/bench/lockside-white`);
  await page.getByRole('button', { name: 'Bake this' }).click();
  await expect(page).toHaveURL(/\/bake\//);
  return page.url().split('/').pop()!;
}

test.describe('a browser that forgets, or has much to say', () => {
  test(
    'is emptied in the middle of a bake: what was sent stays, what is tapped after that arrives',
    { tag: '@long' },
    async ({ page }) => {
      const server = await serve();
      try {
        const id = await begun(page, server);
        const ticks = page.locator('button.tick');
        await ticks.first().click();
        await expect(page.getByText('Saved', { exact: true })).toBeVisible();
        const devtools = await page.context().newCDPSession(page);
        await devtools.send('Storage.clearDataForOrigin', {
          origin: server.url,
          storageTypes: 'all',
        });
        await ticks.nth(1).click();
        await expect(ticks.nth(1)).toHaveAttribute('aria-pressed', 'true');
        const weighed = async () => {
          const bake = await (await page.request.get(`${server.url}/api/v1/bakes/${id}`)).json();
          return bake.events.filter((e: { kind: string }) => e.kind === 'weighed').length;
        };
        await expect.poll(weighed).toBe(2);
        await reload(page);
        await expect(page.locator('button.tick[aria-pressed="true"]')).toHaveCount(2);
      } finally {
        await server.stop();
      }
    },
  );

  test(
    'ten thousand taps that waited go out in order, and the page is used meanwhile',
    { tag: '@long' },
    async ({ page }) => {
      const server = await serve();
      try {
        const id = await begun(page, server);
        await page.evaluate(async (bake) => {
          const open = indexedDB.open('tender-crumb');
          const db = await new Promise<IDBDatabase>((done) => {
            open.onsuccess = () => done(open.result);
          });
          const tx = db.transaction('waiting', 'readwrite');
          const at = new Date().toISOString();
          const rest = { lane: `bake/${bake}`, kind: 'event', rev: 'r', at };
          for (let n = 0; n < 10_000; n += 1) {
            const data = { item: `l${n % 20}`, grams: n + 1, byScale: true };
            const body = { id: `tap-${n}`, at, kind: 'weighed', data };
            tx.objectStore('waiting').put({ ...rest, key: `event/${bake}/${n}`, seq: n + 1, body });
          }
          await new Promise((done) => (tx.oncomplete = done));
          db.close();
        }, id);
        await reload(page);
        await page.locator('button.tick').first().click();
        const events = async () =>
          (await (await page.request.get(`${server.url}/api/v1/bakes/${id}`)).json())
            .events as Array<{
            id: string;
          }>;
        await expect
          .poll(async () => (await events()).filter((e) => e.id.startsWith('tap-')).length, {
            timeout: 200_000,
            intervals: [3000],
          })
          .toBe(10_000);
        const sent = (await events()).filter((e) => e.id.startsWith('tap-')).map((e) => e.id);
        expect(sent).toEqual(Array.from({ length: 10_000 }, (_, n) => `tap-${n}`));
        await expect(page.getByText('Saved', { exact: true })).toBeVisible({ timeout: 60_000 });
      } finally {
        await server.stop();
      }
    },
  );
});

test.describe('two devices', () => {
  test(
    'two say something else of one bag: theirs stands, both are shown, and one’s own can be meant',
    { tag: '@long' },
    async ({ page }) => {
      const server = await serve();
      try {
        await visit(page, `${server.url}/pantry`);
        const row = page.getByRole('row').filter({ hasText: 'Strong white, autumn sack' });
        await row.getByRole('button').first().click();
        const say = (was: object, now: object) =>
          page.request.patch(`${server.url}/api/v1/bags/white-autumn`, { data: { was, now } });
        const bags = await (await page.request.get(`${server.url}/api/v1/bags`)).json();
        const bag = bags.bags.find((b: { id: string }) => b.id === 'white-autumn');
        await say({ protein: bag.protein }, { protein: 12.4 });
        await page.getByLabel('Protein, %').first().fill('13.5');
        await page.getByLabel('Moisture, %').first().fill('13');
        await page.getByRole('button', { name: /^Keep/ }).first().click();
        await page.getByRole('button', { name: 'Two devices say different things' }).click();
        const both = page.getByRole('dialog');
        await expect(both).toContainText('Strong white, autumn sack');
        await expect(both).toContainText('13.5');
        await expect(both).toContainText('12.4');
        const now = async () => {
          const all = await (await page.request.get(`${server.url}/api/v1/bags`)).json();
          const { protein, moisture } = all.bags.find(
            (b: { id: string }) => b.id === 'white-autumn',
          );
          return { protein, moisture };
        };
        // What only this one said stands at once.
        expect(await now()).toEqual({ protein: 12.4, moisture: 13 });
        await both.getByRole('button', { name: 'Keep mine' }).click();
        await expect.poll(now).toEqual({ protein: 13.5, moisture: 13 });
        await expect(page.getByRole('button', { name: /say different things/ })).toHaveCount(0);
      } finally {
        await server.stop();
      }
    },
  );

  test('a tablet a day ahead is told once, shows the house’s times, and what it taps is of the house’s', async ({
    page,
  }) => {
    const server = await serve();
    try {
      const heard = await page.request.get(`${server.url}/api/v1/learning`);
      const house = Number(heard.headers()['x-house-time']);
      const html = await (await page.request.get(`${server.url}/pair`)).text();
      const ahead = Number(/data-clock="(-?[\d.]+)"/.exec(html)![1]);
      await page.clock.install({ time: house - ahead + 86_400_000 });
      await visit(page, `${server.url}/bake/under-way`);
      const told = page.getByText(/clock is 24 hours ahead of the house/);
      await expect(told).toBeVisible();
      await page.getByRole('button', { name: 'All right' }).click();
      await expect(told).toBeHidden();
      await reload(page);
      await unfoldMore(page);
      await page.getByRole('button', { name: 'Lead me sentence by sentence' }).click();
      const events = async () =>
        (await (await page.request.get(`${server.url}/api/v1/bakes/under-way`)).json())
          .events as Array<{ kind: string; at: string }>;
      await expect.poll(async () => (await events()).some((e) => e.kind === 'guided')).toBe(true);
      const guided = (await events()).find((e) => e.kind === 'guided')!;
      expect(Math.abs(Date.parse(guided.at) - house)).toBeLessThan(10 * 60_000);
      await expect(told).toBeHidden();
    } finally {
      await server.stop();
    }
  });
});
