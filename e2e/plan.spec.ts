import type { Page } from '@playwright/test';
import {
  reload,
  expect,
  giveUpAll,
  test,
  toStep,
  unfoldMore,
  visit,
  setClock,
} from './fixtures.ts';
import { plan, row } from './plan-page.ts';
import { thursday } from './thursday.ts';

test.use({ household: 'plan' });

/** A Thursday morning, by the clock of the pages. */
const morning = thursday('09:00:00Z');

interface Stored {
  plans: Array<{ id: string }>;
  timers: Array<{ id: string }>;
}

/** Nothing is planned. */
async function cleared(page: Page, at = morning): Promise<void> {
  const { plans, timers } = (await (await page.request.get('/api/v1/plans')).json()) as Stored;
  await giveUpAll(page);
  for (const { id } of plans) await page.request.delete(`/api/v1/plans/${id}`);
  for (const { id } of timers) await page.request.delete(`/api/v1/timers/${id}`);
  await setClock(page, at);
  // As if somebody had said so on each bench: these plans are of doughs that are made in a bowl.
  const shelf = (await (await page.request.get('/api/v1/formulas')).json()) as {
    formulas: Array<{ id: string }>;
  };
  for (const { id } of shelf.formulas) {
    const path = `/api/v1/formulas/${id}`;
    const stored = (await (await page.request.get(path)).json()) as {
      version: number;
      formula: { device?: string };
    };
    if (stored.formula.device === 'hand') continue;
    await page.request.put(path, {
      data: { version: stored.version, formula: { ...stored.formula, device: 'hand' } },
    });
  }
}

const time = async (page: Page, step: string, bread = ''): Promise<string> =>
  (await row(page, step, bread).first().getByRole('button').first().textContent())!.trim();

test.describe('a plan', () => {
  test('says what could be baked today, and plans it in one tap', async ({ page }) => {
    await cleared(page);
    await visit(page, '/bake');
    const could = page.getByRole('region', { name: 'What could I bake' });
    const white = could.getByRole('listitem').filter({ hasText: 'Lockside tin loaf, white' });
    await expect(white).toContainText(/1[2-6]:\d\d/);
    await white.getByRole('button', { name: /Plan/ }).click();
    await expect(page.getByRole('heading', { name: 'To be done now' })).toBeVisible();
    await expect(row(page, 'Weigh, mix and knead')).toContainText('09:00');
  });

  test('two bakes share the oven, neither at the other’s warmth', async ({ page }) => {
    await cleared(page);
    await visit(page, '/bake');
    await plan(page, 'Lockside tin loaf, white', thursday('18:00', 1));
    await expect(row(page, 'Cool before cutting')).toBeVisible();
    await plan(page, 'Sluice-gate cardamom plait', thursday('18:00', 1));
    await expect(row(page, 'Bake', 'Sluice-gate')).toBeVisible();
    const first = await time(page, 'Bake', 'Lockside');
    const second = await time(page, 'Bake', 'Sluice-gate');
    expect(first).not.toBe(second);
    await expect(page.getByRole('img', { name: /line of time/ })).toBeVisible();
  });

  test('dinner is moved twice: what gives is told first, and taken in one tap, on the plan and in the bake', async ({
    page,
  }) => {
    await cleared(page);
    await visit(page, '/bake');
    await plan(page, 'Lockside tin loaf, white', thursday('18:00'));
    const card = page.getByRole('region', { name: 'Lockside tin loaf, white' });
    await expect(card).toContainText(/ready 1[5-8]:\d\d/);
    await card.getByText('Dinner moved?').click();
    await card.getByLabel('I want it at').fill(thursday('21:30'));
    await card.getByRole('button', { name: 'What can give?' }).click();
    const ways = card.getByRole('list', { name: 'What can give' }).getByRole('listitem');
    await expect(ways.first()).toContainText(/ready/);
    // Nothing has changed by asking.
    await expect(card).toContainText(/ready 1[5-8]:\d\d/);
    await ways.first().getByRole('button', { name: 'Do it so' }).click();
    await expect(card.getByRole('status')).toContainText(/Ready (?:19|2[01]):\d\d/);
    await expect(card.locator('span', { hasText: 'ready' }).first()).toContainText(
      /(?:19|2[01]):\d\d/,
    );
    // What is past is refused where it is typed.
    await card.getByLabel('I want it at').fill(thursday('06:00'));
    await card.getByRole('button', { name: 'What can give?' }).click();
    await expect(card.getByRole('alert')).toContainText('has passed');

    await page.getByRole('button', { name: 'Start this bake' }).click();
    await expect(page).toHaveURL(/\/bake\/.+/);
    await page.locator('html[data-ready]').waitFor({ state: 'attached' });
    await unfoldMore(page);
    await page.getByText('Dinner moved?').click();
    await page.getByLabel('I want it at').fill(thursday('20:00'));
    await page.getByRole('button', { name: 'What can give?' }).click();
    const here = page.getByRole('list', { name: 'What can give' }).getByRole('listitem');
    await here.first().getByRole('button', { name: 'Do it so' }).click();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await giveUpAll(page);
  });

  test('a poolish bread over two days: the night belongs to the poolish', async ({ page }) => {
    await cleared(page);
    await visit(page, '/bake');
    await plan(page, 'Overnight onion flatbread', thursday('13:00', 2));
    await expect(row(page, 'ripens')).toContainText('domed or just falling');
    // Stirred the day before it is baked.
    expect(await time(page, 'Stir')).toMatch(/^(?:Fri )?\d\d:\d\d$/);
    expect(await time(page, 'Bake')).toMatch(/^Sat /);
  });

  test('an overnight sourdough calls nobody at night, and says what its starter is fed', async ({
    page,
  }) => {
    await cleared(page);
    await visit(page, '/bake');
    await plan(page, 'Towpath rye and barley sourdough', thursday('18:00', 2));
    // Its jar was left for two weeks: one feeding wakes it before it is built up.
    await expect(row(page, 'Feed the starter')).toHaveCount(2);
    const awake = async () => {
      for (const step of ['Feed', 'Feed the starter', 'Weigh, mix', 'Divide and shape'])
        for (const one of await row(page, step).all()) {
          const at = (await one.getByRole('button').first().textContent())!.trim().slice(-5);
          expect(at >= '06:30' && at <= '22:30', `${step} at ${at}`).toBe(true);
        }
    };
    await awake();
    const card = page.getByRole('region', { name: 'Towpath rye and barley sourdough' });
    await expect(card).toContainText(/Feed: .* of starter, .* of flour, .* of water/);
    await expect(card).toContainText('one feeding wakes it first');
    // It was fed since, and nobody wrote it down.
    await card.getByLabel('Starter last fed').selectOption('in the last two days');
    await expect(row(page, 'Feed the starter')).toHaveCount(1);
    await expect(card).not.toContainText('wakes it first');
    await awake();
    await reload(page);
    await expect(row(page, 'Feed the starter')).toHaveCount(1);
  });

  test('a step is set to a typed time, and what hangs on it follows', async ({ page }) => {
    await cleared(page);
    await visit(page, '/bake');
    await plan(page, 'Lockside tin loaf, white', thursday('19:00', 1));
    const shape = row(page, 'Divide and shape');
    await expect(shape).toBeVisible();
    const bake = await time(page, 'Bake');
    const mix = row(page, 'Weigh, mix and knead');
    await mix.getByRole('button').first().click();
    await mix.getByLabel('Begin at').fill(thursday('07:00').slice(0, 16));
    await mix.getByRole('button', { name: 'Set' }).click();
    await expect(mix.getByRole('alert')).toContainText('has passed');
    await mix.getByLabel('Begin at').fill(thursday('10:15').slice(0, 16));
    // By keys alone.
    await mix.getByLabel('Begin at').press('Enter');
    await expect(mix).toContainText('10:15');
    expect(await time(page, 'Bake')).not.toBe(bake);
  });

  test('the same loaf doped is ready the same evening, where the starter alone is not', async ({
    page,
  }) => {
    await cleared(page);
    await visit(page, '/bake');
    const ask = async (formula: object) => {
      const answer = await page.request.post('/api/v1/plan', {
        data: {
          now: morning,
          zone: 'UTC',
          bakes: [
            { id: 'b', formula, ripe: true, readyBy: thursday('19:30:00Z'), ways: ['as-it-is'] },
          ],
        },
      });
      return (await answer.json()) as { steps: unknown[] | null };
    };
    const stored = await (await page.request.get('/api/v1/formulas/towpath-sourdough')).json();
    // A copy: other tests have the loaf as it is.
    const name = 'Towpath for the same evening';
    await page.request.put('/api/v1/formulas/same-evening', {
      data: { version: 0, formula: { ...stored.formula, name } },
    });
    expect((await ask(stored.formula)).steps).toBeNull();
    await visit(page, '/bench/same-evening');
    await page.getByRole('tab', { name: 'Leaven' }).click();
    const doping = page.getByRole('region', { name: /For the same evening/ });
    await doping.getByLabel('First rise ready in').fill('3');
    await doping.getByRole('button', { name: 'Take it' }).click();
    // It may still say that it saved what stood before.
    const doped = async () => {
      const kept = await (await page.request.get('/api/v1/formulas/same-evening')).json();
      return (await ask(kept.formula)).steps;
    };
    await expect.poll(doped).not.toBeNull();
    await visit(page, '/bake?plan=same-evening');
    const form = page.locator('details', { hasText: 'Plan a bread' });
    await form.getByLabel('Starter or pre-ferment is ripe already').check();
    await plan(page, name, thursday('19:30'));
    await expect(row(page, 'Bake')).toBeVisible();
    await expect(row(page, 'First rise')).toContainText('doubled');
  });

  test('wishes that cannot be met say which to drop, and one tap does it', async ({ page }) => {
    await cleared(page);
    await visit(page, '/bake');
    await plan(page, 'Lockside tin loaf, white', thursday('10:00'));
    const no = page.getByRole('alert').filter({ hasText: 'can’t be ready in time' });
    await expect(no).toContainText('Lockside tin loaf, white later');
    await no.getByRole('button', { name: 'Do that' }).click();
    await expect(no).toBeHidden();
    await expect(row(page, 'Cool before cutting')).toBeVisible();
    await plan(page, 'Lockside tin loaf, white', thursday('08:00'));
    await expect(page.getByText('That time has passed')).toBeVisible();
  });

  test('a step that is moved stays, and the rest follows; let go, it goes back', async ({
    page,
  }) => {
    await cleared(page);
    await visit(page, '/bake');
    await plan(page, 'Lockside tin loaf, white', thursday('18:00', 1));
    await expect(row(page, 'Bake')).toBeVisible();
    const before = [await time(page, 'Weigh'), await time(page, 'Bake')];
    await row(page, 'Weigh').getByRole('button').first().click();
    await row(page, 'Weigh').getByRole('button', { name: '15 min earlier' }).click();
    await expect(async () => {
      expect(await time(page, 'Weigh')).not.toBe(before[0]);
      expect(await time(page, 'Bake')).not.toBe(before[1]);
    }).toPass();
    await reload(page);
    await expect(row(page, 'Weigh').getByLabel('held fast')).toBeVisible();
    await row(page, 'Weigh').getByRole('button').first().click();
    await row(page, 'Weigh').getByRole('button', { name: 'Let it move' }).click();
    await expect(async () => expect(await time(page, 'Bake')).toBe(before[1])).toPass();
  });

  test('dragged on the line of time, it moves too', async ({ page }) => {
    await cleared(page);
    await visit(page, '/bake');
    await plan(page, 'Lockside tin loaf, white', thursday('18:00', 1));
    await expect(row(page, 'Weigh')).toBeVisible();
    const before = await time(page, 'Weigh');
    const block = page.locator('svg .step').first();
    const box = (await block.boundingBox())!;
    await page.mouse.move(box.x + 4, box.y + 8);
    await page.mouse.down();
    await page.mouse.move(box.x - 30, box.y + 8, { steps: 5 });
    await page.mouse.up();
    await expect(row(page, 'Weigh').getByLabel('held fast')).toBeVisible();
    // Held at once, timed anew beside the page.
    await expect(async () => expect(await time(page, 'Weigh')).not.toBe(before)).toPass();
  });

  test('the bake begins from it, and a slow rise moves what follows', async ({ page }) => {
    await cleared(page);
    await visit(page, '/bake');
    await page
      .getByRole('region', { name: 'What could I bake' })
      .getByRole('button', { name: 'Plan Lockside tin loaf, white' })
      .click();
    await expect(row(page, 'Bake')).toBeVisible();
    const planned = await time(page, 'Bake');
    await page.getByRole('button', { name: 'Start this bake' }).click();
    await expect(page).toHaveURL(/\/bake\/.+/);
    const bake = page.url();
    await toStep(page, 'First rise');
    await setClock(page, thursday('09:30:00Z'));
    await page.getByRole('button', { name: 'Start the rise' }).click();
    await expect(page.getByText('done about')).toBeVisible();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await setClock(page, thursday('13:00:00Z'));
    await visit(page, '/bake');
    await expect(row(page, 'First rise')).toContainText('under way');
    await expect(async () => {
      const late = await time(page, 'Bake');
      expect(late > planned, `${late} after ${planned}`).toBe(true);
      expect(late > '13:30').toBe(true);
    }).toPass();
    await visit(page, new URL(bake).pathname);
    await unfoldMore(page);
    await page.getByRole('button', { name: 'Cancel this bake' }).click();
    await page.getByRole('button', { name: 'Yes, cancel it' }).click();
    await expect(page.getByText('This bake was cancelled')).toBeVisible();
  });

  test('every page says what is next, and what calls now', async ({ page }) => {
    await cleared(page);
    await page.request.put('/api/v1/plans/bar', {
      data: { version: 0, formulaId: 'lockside-white', readyBy: thursday('13:00:00Z', 1) },
    });
    await visit(page, '/pantry');
    await expect(page.getByRole('link', { name: /Weigh, mix and knead: Lockside/ })).toBeVisible();
    await page.request.put('/api/v1/timers/tea', {
      data: { name: 'Tea', dueAt: thursday('08:59:00Z') },
    });
    await visit(page, '/book');
    await expect(page.getByRole('link', { name: /Now: Tea/ })).toBeVisible();
    await expect(page).toHaveTitle(/Tea/);
  });

  test('timers are set in words, survive a reload, and are stopped', async ({ page }) => {
    await cleared(page);
    await visit(page, '/bake');
    const timers = page.getByRole('region', { name: 'Timers' });
    await timers.getByLabel('What for').fill('Soak the oats');
    await timers.getByLabel('Minutes').fill('long');
    await timers.getByRole('button', { name: 'Set' }).click();
    await expect(timers.getByRole('alert')).toContainText('How long?');
    await expect(timers.getByLabel('What for')).toHaveValue('Soak the oats');
    await timers.getByLabel('Minutes').fill('1 h 30 min');
    await timers.getByRole('button', { name: 'Set' }).click();
    await expect(timers.getByRole('listitem')).toContainText('Soak the oats · 10:30');
    await reload(page);
    await expect(timers.getByRole('listitem')).toContainText('in 1 h 30 min');
    await timers.getByRole('button', { name: 'Stop Soak the oats' }).click();
    await expect(timers.getByRole('listitem')).toHaveCount(0);
  });

  test('hours of the house are settled once, and plans keep to them', async ({ page }) => {
    await cleared(page);
    await visit(page, '/pantry/kitchen');
    const asleep = page.getByRole('region', { name: 'Asleep' });
    await asleep.getByLabel('To', { exact: true }).fill('10:00');
    await asleep.getByLabel('To', { exact: true }).blur();
    await expect(page.getByText('Saved.')).toBeVisible();
    await visit(page, '/bake');
    await page.getByRole('button', { name: 'Plan Lockside tin loaf, white' }).click();
    await expect(row(page, 'Weigh')).toContainText('10:00');
    await visit(page, '/pantry/kitchen');
    await asleep.getByLabel('To', { exact: true }).fill('22:30');
    await asleep.getByLabel('To', { exact: true }).blur();
    await expect(asleep.getByRole('alert')).toContainText('the same');
    await asleep.getByLabel('To', { exact: true }).fill('06:30');
    await asleep.getByLabel('To', { exact: true }).blur();
    await expect(page.getByText('Saved.')).toBeVisible();
  });
});
