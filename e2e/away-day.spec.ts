import type { Browser, Page } from '@playwright/test';
import { testTime } from '../scripts/test-clock.mjs';
import {
  allFetched,
  expect,
  giveUpAll,
  serve,
  setClock,
  test,
  toStep,
  visit,
  type Served,
} from './fixtures.ts';
import { plan, row } from './plan-page.ts';

/** A tablet: a browser of its own, whose clock is moved as the day goes on. */
class Tablet {
  readonly page: Page;
  readonly #ahead: number;

  private constructor(page: Page, ahead: number) {
    this.page = page;
    this.#ahead = ahead;
  }

  static async of(browser: Browser, server: Served, at: string): Promise<Tablet> {
    const context = await browser.newContext({ baseURL: server.url, reducedMotion: 'reduce' });
    const page = await context.newPage();
    await setClock(page, at);
    const html = await (await page.request.get('/pair')).text();
    return new Tablet(page, Number(/data-clock="(-?[\d.]+)"/.exec(html)![1]));
  }

  /** It is so late by now. */
  async isAt(moment: string): Promise<void> {
    await this.page.clock.setFixedTime(new Date(Date.parse(moment) - this.#ahead));
  }

  end = (): Promise<void> => this.page.context().close();
}

interface Planned {
  readonly plans: ReadonlyArray<{ readonly id: string; readonly bakeId?: string }>;
  readonly timers: ReadonlyArray<{ readonly name: string; readonly dueAt: string }>;
}

interface Bake {
  readonly startedAt: string;
  readonly finishedAt?: string;
  readonly forecast?: object;
  readonly circumstances: { readonly day: string };
  readonly events: ReadonlyArray<{
    readonly at: string;
    readonly kind: string;
    readonly data: object;
  }>;
}

test(
  'a bake day of two tablets with the server away for all of it: back, it has all of it, and so has each',
  { tag: '@long' },
  async ({ browser }) => {
    const day = testTime().toISOString().slice(0, 10);
    const at = (time: string) => `${day}T${time}:00.000Z`;
    const server = await serve();
    let back: Served | undefined;
    const [kitchen, hall] = [
      await Tablet.of(browser, server, at('09:10')),
      await Tablet.of(browser, server, at('09:10')),
    ];
    const { page } = kitchen;
    try {
      await visit(page, '/');
      await giveUpAll(page);
      const asPlanned = (await (await page.request.get('/api/v1/plans')).json()) as Planned;
      for (const { id } of asPlanned.plans) await page.request.delete(`/api/v1/plans/${id}`);
      // Each has opened what it stands at: the kitchen a bench and Bake day, the hall the leavens.
      await visit(page, '/bench/lockside-white');
      await page.getByRole('link', { name: 'Bake day' }).first().click();
      await expect(page.getByRole('heading', { name: 'Bake day' })).toBeVisible();
      await visit(hall.page, '/pantry/leavens');
      await Promise.all([allFetched(page), allFetched(hall.page)]);
      await server.stop('SIGKILL');

      // A bread is planned, and led from the plan to the cooled loaf.
      await plan(page, 'Lockside tin loaf, white', `${day}T14:30`);
      await expect(row(page, 'The machine bakes it')).toBeVisible();
      await page.getByRole('button', { name: 'Start this bake' }).click();
      await expect(page).toHaveURL(/\/bake\/.+/);
      const id = page.url().split('/').at(-1)!;
      await toStep(page, 'Weigh the ingredients');
      await page.getByRole('button', { name: 'All in, machine started' }).click();
      await expect(page.getByText('The server is away.')).toBeVisible();
      // On Bake day it is being baked, and is not begun once more.
      await page.getByRole('link', { name: 'Bake day' }).first().click();
      await expect(page.getByRole('list', { name: 'Being baked' })).toContainText('Lockside');
      await expect(page.getByRole('button', { name: 'Start this bake' })).toHaveCount(0);
      const timers = page.getByRole('region', { name: 'Timers' });
      await timers.getByLabel('What for').fill('Soup');
      await timers.getByLabel('Minutes').fill('400');
      await timers.getByRole('button', { name: 'Set' }).click();
      await expect(timers.getByRole('listitem').filter({ hasText: 'Soup' })).toBeVisible();

      // Meanwhile a starter is fed in the hall.
      await hall.isAt(at('10:00'));
      const lock = hall.page.getByRole('region', { name: 'Lock, of white' });
      const fed = lock.getByRole('form', { name: 'Fed just now' });
      await fed.getByLabel('Starter, g').fill('23');
      await fed.getByRole('button', { name: 'Write it down' }).click();
      await expect(lock).toContainText('23 g + ');

      await kitchen.isAt(at('13:40'));
      await page.getByRole('list', { name: 'Being baked' }).getByRole('link').first().click();
      await expect(page).toHaveURL(new RegExp(id));
      await toStep(page, 'Result');
      await page.getByRole('radio', { name: 'excellent', exact: true }).click();
      await page.getByRole('button', { name: 'Save the bake' }).click();
      await expect(page.getByRole('heading', { name: 'Saved here' })).toBeVisible();

      // In the evening it is back.
      await Promise.all([kitchen.isAt(at('20:00')), hall.isAt(at('20:00'))]);
      const { port } = new URL(server.url);
      back = await serve({ PORT: port, TENDER_CRUMB_NOW: at('20:00') }, server.folder);
      await page.getByRole('button', { name: 'Try now' }).click();
      await expect(page.getByRole('heading', { name: 'What this bake taught' })).toBeVisible();
      const again = hall.page.getByRole('button', { name: 'Try now' });
      await expect(async () => {
        if (await again.isVisible()) await again.click({ timeout: 500 });
        await expect(again).toHaveCount(0);
      }).toPass();

      const bake = (await (await page.request.get(`/api/v1/bakes/${id}`)).json()) as Bake;
      expect(bake.startedAt.slice(0, 16)).toBe(`${day}T09:10`);
      expect(bake.circumstances.day).toBe(day);
      expect(bake.forecast).toBeTruthy();
      const times = bake.events.map((e) => e.at);
      expect(times).toEqual([...times].sort());
      expect(times[0]!.slice(0, 16)).toBe(`${day}T09:10`);
      expect(bake.finishedAt!.slice(0, 16)).toBe(`${day}T13:40`);
      const { plans, timers: set } = (await (
        await page.request.get('/api/v1/plans')
      ).json()) as Planned;
      expect(plans.filter((p) => p.bakeId !== undefined && p.bakeId !== id)).toEqual([]);
      expect(set.map((t) => [t.name, t.dueAt.slice(0, 16)])).toEqual([['Soup', `${day}T15:50`]]);

      // And each tablet has what the other did.
      await visit(page, '/pantry/leavens');
      await expect(page.getByRole('region', { name: 'Lock, of white' })).toContainText('23 g + ');
      await visit(hall.page, `/book/${id}`);
      await expect(hall.page.getByText('excellent').first()).toBeVisible();
    } finally {
      await Promise.all([kitchen.end(), hall.end()]);
      await server.stop();
      await back?.stop();
    }
  },
);
