import type { Locator } from '@playwright/test';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { rmSync } from 'node:fs';
import { testTime } from '../scripts/test-clock.mjs';
import { reload, expect, serve, test, toStep, visit, type Served } from './fixtures.ts';
import { doors, firstMinute } from './first-minute.ts';

/** What a newcomer meets first, and what hands, ears and eyes ask of every page. */

test.describe('an empty kitchen', () => {
  let empty: Served;
  test.beforeEach(async () => {
    empty = await serve({ TENDER_CRUMB_DEMO: '' });
  });
  test.afterEach(async () => {
    await empty.stop();
    rmSync(empty.folder, { recursive: true, force: true });
  });

  for (const width of [390, 810, 1280])
    for (const [door, most] of [
      [doors[0], 5],
      [doors[1], 3],
      [doors[2], 2],
    ] as const)
      test(`opens with three doors and no form; “${door}” is ${most} taps from the first grams, ${width} wide`, async ({
        browser,
      }) => {
        const context = await browser.newContext({
          viewport: { width, height: 800 },
          serviceWorkers: 'block',
          baseURL: empty.url,
        });
        const page = await context.newPage();
        await visit(page, '/');
        const nav = page.getByRole('navigation', { name: 'Where to begin' });
        await expect(nav.getByRole('button').or(nav.getByRole('link'))).toHaveCount(3);
        await expect(page.locator('main').getByRole('textbox')).toHaveCount(0);
        await expect(page.locator('main').getByRole('combobox')).toHaveCount(0);
        expect(await firstMinute(page, door)).toBeLessThanOrEqual(most);
        await context.close();
      });

  test('a recipe that is pasted over the doors opens the right one', async ({ browser }) => {
    const page = await browser.newPage({ serviceWorkers: 'block', baseURL: empty.url });
    await visit(page, '/');
    await page.evaluate(() => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text/plain', 'Weir loaf\n500 g bread flour\n300 g water');
      document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }));
    });
    await expect(page.getByRole('list', { name: 'What was read' })).toContainText('300 g water');
    await expect(page.getByRole('navigation', { name: 'Where to begin' })).toHaveCount(0);
    await page.close();
  });

  test('asks of the kitchen one thing at a time, where it is needed first, and never again', async ({
    browser,
  }) => {
    const page = await browser.newPage({ serviceWorkers: 'block', baseURL: empty.url });
    const asked = page.getByRole('button', { name: 'Ask me later' });
    const answer = async (question: string, says: string) => {
      await expect(asked).toHaveCount(1);
      await page.getByRole('group', { name: question }).getByRole('button', { name: says }).click();
      await expect(page.getByRole('group', { name: question })).toHaveCount(0);
    };
    await visit(page, '/');
    await page.getByRole('button', { name: 'I have a recipe' }).click();
    await page
      .getByRole('textbox', { name: 'One ingredient a line' })
      .fill('Weir loaf\n4 cups bread flour\n1 cup water\n9 g salt\n3 g instant yeast');
    const read = page.getByRole('list', { name: 'What was read' });
    await answer('How big is your cup?', 'imperial, 284 ml');
    await expect(read).toContainText('284 g water');
    await page.getByRole('button', { name: 'Open this recipe' }).click();
    await expect(page.getByTestId('verdict')).toBeVisible();
    // What bread it is comes before what the kitchen is like.
    if (await page.getByText('Which bread is it?').isVisible()) await asked.click();
    await answer('How fine is your scale?', '0.1 g');
    // A machine is asked about where it is to be baked in one.
    await page.getByRole('radio', { name: 'Bread machine' }).click();
    await answer('Which bread machine is most like yours?', 'One paddle, upright pan');
    await expect(page.getByRole('radio', { name: 'Bread machine' })).toBeChecked();
    await page.getByRole('radio', { name: 'By hand' }).click();
    await page.getByRole('button', { name: 'Bake this' }).click();
    await page.waitForURL(/\/bake\/.+/);
    await answer('What does your oven show?', '°F');
    await expect(page.getByText(/[Ww]ater at/)).toContainText('°F');
    await toStep(page, 'Dough check');
    await answer('Does anyone else bake here?', 'Only me');
    await reload(page);
    await expect(page.locator('#step')).toBeVisible();
    await expect(asked).toHaveCount(0);
    const house = (await (await page.request.get('/api/v1/household')).json()) as {
      settled: string[];
      scaleStep: number;
    };
    expect(house.settled).toEqual(['cup', 'scale', 'machine', 'degrees', 'bakers']);
    expect(house.scaleStep).toBe(0.1);
    await page.close();
  });
});

test('the recipes say when each was baked last, how it came out, what was noted; one tap bakes it', async ({
  page,
}) => {
  await visit(page, '/?find=cardamom');
  const row = page.getByRole('listitem').filter({ hasText: 'Sluice-gate cardamom plait' });
  await expect(row).toContainText(/\d+ [A-Z][a-z]+ · (?:poor|fair|OK|good|excellent)/);
  await expect(row).toContainText('Next time:');
  await row.getByRole('button', { name: 'Bake Sluice-gate cardamom plait' }).click();
  await expect(page).toHaveURL(/\/bake\/[^/]+$/);
  await expect(page.locator('#step')).toHaveText(/Weigh/);
  const id = page.url().split('/').at(-1)!;
  const event = { id: 'over', at: testTime().toISOString(), kind: 'abandoned', data: {} };
  await page.request.post(`/api/v1/bakes/${id}/events`, { data: { events: [event] } });
});

test('a question is put off, and is not asked again meanwhile', async ({ page }) => {
  const made = await page.request.post('/api/v1/formulas', {
    data: {
      name: 'Which one',
      style: 'pan',
      styleGuessed: true,
      stages: [
        {
          lines: [
            { ingredient: 'bread-flour', grams: 500 },
            { ingredient: 'water', grams: 270 },
            { ingredient: 'sugar', grams: 40 },
            { ingredient: 'salt', grams: 10 },
            { ingredient: 'instant-yeast', grams: 5 },
          ],
        },
      ],
    },
  });
  const { id } = (await made.json()) as { id: string };
  await visit(page, `/bench/${id}`);
  const asked = page.getByText('Which bread is it?');
  await expect(asked).toBeVisible();
  await page.getByRole('button', { name: 'Ask me later' }).click();
  await expect(asked).toHaveCount(0);
  await reload(page);
  await expect(page.getByTestId('verdict')).toBeVisible();
  await expect(asked).toHaveCount(0);
});

test('the day after, a loaf is judged in one tap', async ({ page }) => {
  const started = testTime(-20 * 3_600_000).toISOString();
  const baked = testTime(-16 * 3_600_000).toISOString();
  const begun = await page.request.post('/api/v1/bakes', {
    data: {
      formulaId: 'porridge-rolls',
      formulaVersion: 1,
      method: 'hand',
      startedAt: started,
    },
  });
  const { id } = (await begun.json()) as { id: string };
  await page.request.post(`/api/v1/bakes/${id}/events`, {
    data: {
      events: [{ id: 'out', at: baked, kind: 'step', data: { step: 'bake', sense: 'done' } }],
    },
  });
  await visit(page, '/bake');
  const ask = page.getByRole('region', { name: 'How was the loaf?' });
  await expect(ask).toContainText('Porridge-oat rolls');
  await ask.getByRole('button', { name: 'good', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Add a photo or a note' })).toBeVisible();
  await expect
    .poll(async () => {
      const bake = (await (await page.request.get(`/api/v1/bakes/${id}`)).json()) as {
        outcome?: { stars: number };
        finishedAt?: string;
      };
      return [bake.outcome?.stars, bake.finishedAt !== undefined];
    })
    .toEqual([4, true]);
});

test.describe('hands and ears', () => {
  /** A bake by hand, begun for this test. */
  const begin = async (page: import('@playwright/test').Page): Promise<string> => {
    const begun = await page.request.post('/api/v1/bakes', {
      data: { formulaId: 'lockside-white', formulaVersion: 1, method: 'hand' },
    });
    const { id } = (await begun.json()) as { id: string };
    await visit(page, `/bake/${id}`);
    return id;
  };

  test('a step is done, and taken back, by space and by a page-turner; typing is left alone', async ({
    page,
  }) => {
    await begin(page);
    const step = page.locator('#step');
    await expect(step).toHaveText('Weigh the ingredients');
    await page.keyboard.press('Space');
    await expect(step).toHaveText('Weigh, mix and knead');
    await page.keyboard.press('PageUp');
    await expect(step).toHaveText('Weigh the ingredients');
    await page.keyboard.press('PageDown');
    await expect(step).toHaveText('Weigh, mix and knead');
    const dough = page.getByLabel(/^Dough, °/);
    await dough.fill('2');
    await dough.press('ArrowRight');
    await dough.press(' ');
    await expect(step).toHaveText('Weigh, mix and knead');
  });

  test('a step is read aloud when it is asked, and each by itself once that is wanted', async ({
    page,
  }) => {
    await page.addInitScript(() => {
      const said: string[] = [];
      Object.assign(globalThis, { said });
      speechSynthesis.speak = (utterance) => void said.push(utterance.text);
    });
    await begin(page);
    const said = () => page.evaluate(() => (globalThis as unknown as { said: string[] }).said);
    expect(await said()).toEqual([]);
    await page.getByRole('button', { name: 'Say it' }).click();
    expect((await said()).at(-1)).toMatch(/^Weigh the ingredients\. Weigh into the bowl/);
    await toStep(page, 'First rise');
    expect(await said()).toHaveLength(1);
    await page.getByText('More', { exact: true }).click();
    await page.getByRole('button', { name: 'Read each step aloud' }).click();
    await toStep(page, 'Final proof');
    await expect.poll(said).toHaveLength(2);
    expect((await said()).at(-1)).toMatch(/^Final proof\. Cover it/);
  });

  test('what calls is said aloud, once, where each step is read', async ({ page }) => {
    await page.addInitScript(() => {
      const said: string[] = [];
      Object.assign(globalThis, { said });
      localStorage.setItem('reads-aloud', 'yes');
      speechSynthesis.speak = (utterance) => void said.push(utterance.text);
    });
    await page.request.put('/api/v1/timers/kettle', {
      data: { name: 'Kettle', dueAt: testTime(-60_000).toISOString() },
    });
    await visit(page, '/book');
    const said = () => page.evaluate(() => (globalThis as unknown as { said: string[] }).said);
    const kettles = async () => (await said()).filter((text) => text.includes('Kettle')).length;
    await expect.poll(kettles).toBe(1);
    // The page is told of it again with each look at the plans.
    await page.getByRole('link', { name: 'Pantry' }).click();
    await expect(page.getByRole('link', { name: /Now: .*Kettle/ })).toBeVisible();
    expect(await kettles()).toBe(1);
    await page.request.delete('/api/v1/timers/kettle');
  });

  test('the level goes by Home and End, and says the scale, the points and the window', async ({
    page,
  }) => {
    await begin(page);
    await toStep(page, 'Dough check');
    const slider = page.getByRole('slider', { name: 'How the dough feels' });
    await expect(slider).toHaveAttribute('aria-valuetext', 'not felt yet');
    await slider.focus();
    await page.keyboard.press('Home');
    await expect(slider).toHaveAttribute(
      'aria-valuetext',
      /^dry, −\d+\.\d, tighter than your window$/,
    );
    await page.keyboard.press('End');
    await expect(slider).toHaveAttribute(
      'aria-valuetext',
      /^batter, \+\d+\.\d, looser than your window$/,
    );
  });

  test('the focus stays where something was done', async ({ page }) => {
    const focused = () =>
      page.evaluate(() => {
        const at = document.activeElement!;
        return at === document.body
          ? ''
          : `${at.tagName} ${at.getAttribute('aria-label') ?? at.textContent}`;
      });
    await visit(page, '/bench/lockside-white');
    await page.getByLabel('Grams of water', { exact: true }).fill('200');
    const take = page
      .getByRole('article', { name: 'Correction: water' })
      .getByRole('button', { name: 'Take' });
    await take.focus();
    await page.keyboard.press('Enter');
    await expect(take).toHaveCount(0);
    await expect.poll(focused).not.toBe('');
    await page.getByRole('button', { name: 'What to do with oil' }).click();
    await page.getByRole('menuitem', { name: 'Remove' }).press('Enter');
    await expect(page.getByLabel('Grams of oil')).toHaveCount(0);
    await expect.poll(focused).not.toBe('');

    await begin(page);
    await page.getByRole('button', { name: 'Different amount of water' }).focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('Grams of water on the scale').fill('250');
    await page.keyboard.press('Enter');
    await expect(page.locator('button.tick', { hasText: 'water' })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await expect.poll(focused).not.toBe('');
    await toStep(page, 'Dough check');
    await page.getByRole('slider', { name: 'How the dough feels' }).focus();
    await page.keyboard.press('ArrowRight');
    await page.getByRole('button', { name: 'It feels like this' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'It feels like this' })).toHaveCount(0);
    await expect.poll(focused).not.toBe('');
  });

  for (const width of [390, 1280])
    test(`the recipe is a table of rows and cells, ${width} wide`, async ({ page }) => {
      await page.setViewportSize({ width, height: 800 });
      await visit(page, '/bench/lockside-white');
      const table = page.getByRole('table', { name: /The recipe/ });
      const row = table.getByRole('row').filter({ has: page.getByLabel('Grams of water') });
      await expect(row).toHaveCount(1);
      expect(await row.getByRole('cell').count()).toBeGreaterThan(3);
    });

  test('a bake’s steps, by the tree that a screen reader goes by', async ({ page }) => {
    await begin(page);
    const line = page.getByRole('navigation', { name: 'Steps of the bake' });
    for (const button of await line.getByRole('button').all()) {
      const before = await page.locator('#step').textContent();
      await button.click();
      const name = (await page.locator('#step').textContent())!;
      const card = page.getByRole('region', { name, exact: true });
      await expect(card).toBeVisible();
      if (name !== before) await expect(page.locator('#step')).toBeFocused();
      // Everything that can be pressed or typed into has a name.
      const nameless = await page
        .locator('main')
        .locator('button, a[href], input, select, textarea, [role="slider"]')
        .evaluateAll(
          (all) =>
            all.filter((e) => {
              const labels = (e as HTMLInputElement).labels;
              return (
                e.checkVisibility() &&
                !(e.getAttribute('aria-label') ?? '').trim() &&
                !e.textContent?.trim() &&
                !e.getAttribute('aria-labelledby') &&
                !(labels && labels.length > 0)
              );
            }).length,
        );
      expect(nameless, name).toBe(0);
    }
  });

  test('what a chart has to click on stands in a table that keys reach', async ({ page }) => {
    await visit(page, '/book/drawn');
    await page.getByText('As a table').first().click();
    const link = page.getByRole('table').last().getByRole('link').first();
    await link.focus();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/book\/[^/]+$/);
  });
});

test('a cooling that is looked at ahead has the times of the plan, and the result comes after it', async ({
  page,
}) => {
  await visit(page, '/bake/under-way');
  const steps = page.getByRole('navigation', { name: 'Steps of the bake' });
  const cool = steps.getByRole('button', { name: /^Cool before cutting/ });
  const timeIn = async (of: Locator) => {
    const time = /\d\d:\d\d/;
    // The plan is worked out after the page is there.
    await expect(of).toHaveAttribute('aria-label', time);
    return time.exec((await of.getAttribute('aria-label'))!)![0];
  };
  const from = await timeIn(cool);
  const result = await timeIn(steps.getByRole('button', { name: /^Result/ }));
  expect(result).not.toBe(from);
  await cool.click();
  await expect(page.getByText(`Ready to cut at ${result}`)).toBeVisible();
});

test.describe('eyes', () => {
  const places = [
    '/',
    '/bench/towpath-sourdough',
    '/bake',
    '/bake/under-way',
    '/book',
    '/pantry',
    '/pantry/kitchen',
  ];

  for (const [width, size] of [
    [390, '200%'],
    [1280, '200%'],
    [320, '100%'],
    [320, '200%'],
  ] as const)
    test(`no page scrolls sideways, ${width} wide with text at ${size}`, async ({ page }) => {
      await page.setViewportSize({ width, height: 800 });
      for (const path of places) {
        await visit(page, path);
        await page.evaluate((to) => (document.documentElement.style.fontSize = to), size);
        await page.waitForTimeout(300);
        const wider = await page.evaluate(
          () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
        );
        expect(wider, path).toBeLessThanOrEqual(0);
      }
    });

  test('in the system’s own colours the bubble and what is pressed are seen', async ({ page }) => {
    await page.emulateMedia({ forcedColors: 'active' });
    await visit(page, '/bench/lockside-white');
    const bubble = page.locator('.vial .bubble').first();
    await expect(bubble).toHaveCSS('border-top-style', 'solid');
    const colour = (part: string) =>
      page
        .locator(part)
        .first()
        .evaluate((e) => getComputedStyle(e).backgroundColor);
    const pressed = await colour('.either button[data-state="on"]');
    expect(pressed).not.toBe(await colour('.either button[data-state="off"]'));
  });

  test('what has the focus is not under the bar of buttons', async ({ page }) => {
    const begun = await page.request.post('/api/v1/bakes', {
      data: { formulaId: 'lockside-white', formulaVersion: 1, method: 'hand' },
    });
    const { id } = (await begun.json()) as { id: string };
    await page.setViewportSize({ width: 1024, height: 600 });
    await visit(page, `/bake/${id}`);
    const bar = page.getByRole('group', { name: 'This step' });
    for (const tick of await page.locator('button.tick').all()) {
      await expect
        .poll(async () => {
          // What is timed late moves the lines below it: who moves on finds the next one free.
          await tick.blur();
          await tick.focus();
          const [box, over] = [(await tick.boundingBox())!, (await bar.boundingBox())!];
          return box.y + box.height - over.y;
        })
        .toBeLessThanOrEqual(1);
    }
  });
});

test('what is opened from a tab stands beside the sheet, and over it on a tablet', async ({
  page,
}) => {
  await visit(page, '/bench/lockside-white');
  const sheet = page.getByRole('region', { name: 'Formula sheet' });
  const tab = page.getByRole('tab', { name: 'Salt' });
  await tab.click();
  const panel = page.getByRole('tabpanel');
  const [of, at] = [(await sheet.boundingBox())!, (await panel.boundingBox())!];
  expect(at.x).toBeGreaterThan(of.x + of.width - 1);
  expect(at.y).toBeLessThan(of.y + of.height);
  await page.setViewportSize({ width: 810, height: 1080 });
  await tab.click();
  await expect(panel).toBeInViewport({ ratio: 0.9 });
  await page.keyboard.press('Escape');
  await expect(panel).toBeHidden();
  await expect(tab).toBeFocused();
});

test('a recipe for the fridge door is one page, with nothing to press on it', async ({ page }) => {
  await visit(page, '/bench/sluice-gate-plait');
  await page.waitForTimeout(1500);
  await page.emulateMedia({ media: 'print' });
  await page.evaluate(() => dispatchEvent(new Event('beforeprint')));
  await expect(page.locator('.fridge')).toBeVisible();
  const controls = page.locator('button, input, select, textarea, summary');
  expect(await controls.evaluateAll((all) => all.filter((e) => e.checkVisibility()).length)).toBe(
    0,
  );
  await expect(page.locator('.fridge')).toContainText('whole milk');
  await expect(page.locator('.fridge')).toContainText('Bake');
  const paper = await page.pdf({ format: 'A4' });
  const { numPages } = await getDocument({ data: new Uint8Array(paper) }).promise;
  expect(numPages).toBe(1);
});

test('a browser may put the program on its home screen', async ({ page }) => {
  await visit(page, '/');
  const session = await page.context().newCDPSession(page);
  const { installabilityErrors } = (await session.send('Page.getInstallabilityErrors')) as {
    installabilityErrors: Array<{ errorId: string }>;
  };
  // A test's browser keeps nothing, as one that is private does: that alone is in the way.
  expect(installabilityErrors.map((e) => e.errorId).filter((e) => e !== 'in-incognito')).toEqual(
    [],
  );
  const { data, errors } = await session.send('Page.getAppManifest');
  expect(errors).toEqual([]);
  expect(JSON.parse(data!)).toMatchObject({ start_url: '/', display: 'standalone' });
  await visit(page, '/pantry/devices');
  await expect(page.getByRole('region', { name: 'On the home screen' })).toBeVisible();
});
