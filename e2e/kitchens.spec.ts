import type { Page } from '@playwright/test';
import { Baker } from './baker.ts';
import {
  reload,
  alarm,
  expect,
  giveUpAll,
  serve,
  test,
  toStep,
  visit,
  type Served,
  setClock,
} from './fixtures.ts';
import { rmSync } from 'node:fs';
import { thursday } from './thursday.ts';

test.use({ household: 'baking' });

const morning = thursday('08:00:00Z');

/** A drawn loaf as a photo, made by the browser itself. */
const photo = async (page: Page): Promise<Buffer> =>
  Buffer.from(
    await page.evaluate(() => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [2400, 1200];
      canvas.getContext('2d')!.fillRect(200, 200, 900, 700);
      return canvas.toDataURL('image/png').split(',')[1]!;
    }),
    'base64',
  );
const written = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();
const step = (page: Page) => page.locator('#step');

test.describe('kitchens as they are', () => {
  test.beforeEach(async ({ page }) => giveUpAll(page));

  test('poured over: what it does, and so much flour that it is right again; the bowl is lifted meanwhile', async ({
    page,
  }) => {
    const baker = new Baker(page, morning);
    await baker.begins('lockside-white', 'Two-paddle machine');
    await baker.switchesOn();
    await baker.puts(548);
    const scale = page.getByRole('region', { name: 'On the scale' });
    await scale.getByRole('button', { name: 'Count from here' }).click();
    await expect(scale.locator('.live')).toContainText('0 of');
    await baker.puts(100);
    await expect(scale.locator('.live')).toContainText('100');
    await baker.drawer.getByRole('button', { name: 'Lift the bowl off' }).click();
    await expect(scale.locator('.live')).toHaveText('the bowl is off');
    await baker.drawer.getByRole('button', { name: 'Put the bowl back' }).click();
    await expect(scale.locator('.live')).toContainText('100');
    await baker.puts(157);
    await expect(scale.getByRole('alert')).toContainText(/12\sg over/);
    const flour = page
      .getByRole('list', { name: 'To weigh' })
      .locator('.tick', { hasText: 'strong bread flour' });
    await expect(flour).toContainText(/420\sg/);
    await scale.getByRole('button', { name: /\d+\sg more strong bread flour/ }).click();
    await expect(flour).not.toContainText(/420\sg/);
    await expect(flour).toContainText(/4[34]\d\sg/);
    // A reload finds what is in, and the scale as it stands.
    await written(page);
    await reload(page);
    await expect(flour).toContainText(/4[34]\d\sg/);
    await expect(page.getByText(/257\sg in/)).toBeVisible();
  });

  test('half of it today; something is missing, and another thing takes its place', async ({
    page,
  }) => {
    const baker = new Baker(page, morning);
    await baker.begins('sluice-gate-plait', 'By hand');
    const list = page.getByRole('list', { name: 'To weigh' });
    await expect(list).toContainText(/500\sg/);
    await baker.taps('Half');
    await expect(list).toContainText(/250\sg/);
    await expect(list).toContainText(/105\sg/);
    await page.getByRole('button', { name: 'I’ve run out of whole milk' }).click();
    await baker.taps('water and milk powder');
    await expect(list.locator('.tick', { hasText: 'milk powder' })).toBeVisible();
    await expect(list.locator('.tick', { hasText: 'whole milk' })).toHaveCount(0);
    await written(page);
    await reload(page);
    await expect(list.locator('.tick', { hasText: 'milk powder' })).toBeVisible();
    await page.getByRole('button', { name: 'Not so' }).click();
    await expect(list.locator('.tick', { hasText: 'whole milk' })).toBeVisible();
  });

  test('the dough is mixed already: begun in its middle; every tap can be taken back', async ({
    page,
  }) => {
    const baker = new Baker(page, morning);
    await baker.begins('lockside-white', 'By hand');
    await toStep(page, 'First rise');
    await baker.taps('Start from here');
    await baker.at('First rise');
    await expect(page.getByText('done about')).toBeVisible();
    const over = page.locator('.when b');
    // The plan is worked out anew once the rise has begun.
    await page.waitForTimeout(1500);
    const usual = await over.textContent();
    await baker.taps(/minutes more$/);
    await expect(over).not.toHaveText(usual!);
    await page.getByRole('button', { name: 'Undo: First rise takes longer' }).click();
    await expect(over).toHaveText(usual!);
    await page.getByRole('button', { name: 'Undo: First rise begun' }).click();
    await baker.at('Weigh the ingredients');
  });

  test('last time’s note stands at its step, and a note is kept for the next', async ({ page }) => {
    const baker = new Baker(page, morning);
    await baker.begins('sluice-gate-plait', 'By hand');
    await toStep(page, 'Divide and shape');
    await expect(page.getByText('Strands thinner at the ends')).toBeVisible();
    await page.getByText('Note for next time').click();
    await page.getByLabel('Note for next time').fill('Six strands next time 🥖');
    await page.getByLabel('Note for next time').blur();
    await written(page);
    await reload(page);
    await toStep(page, 'Divide and shape');
    await expect(page.getByLabel('Note for next time')).toHaveValue('Six strands next time 🥖');
  });

  test('photos: kept, sent later when the server is away, taken away; a text named .png is refused in words', async ({
    page,
  }) => {
    const baker = new Baker(page, morning);
    const id = await baker.begins('lockside-white', 'By hand');
    const input = page.locator('input[type=file]');
    const png = await photo(page);
    await input.setInputFiles({ name: 'bowl.png', mimeType: 'image/png', buffer: png });
    const shown = page.getByRole('figure').getByRole('img', { name: /Weigh the ingredients/ });
    await expect(shown).toHaveCount(1);
    await input.setInputFiles({
      name: 'notes.png',
      mimeType: 'image/png',
      buffer: Buffer.from('I am a text'),
    });
    await expect(alarm(page)).toContainText('“notes.png” is no photo that can be shown');
    await expect(shown).toHaveCount(1);
    await page.route('**/api/v1/**', (route) => route.abort());
    await input.setInputFiles({ name: 'later.png', mimeType: 'image/png', buffer: png });
    await expect(shown).toHaveCount(2);
    await expect(page.getByText('waits to be sent').last()).toBeVisible();
    await page.unroute('**/api/v1/**');
    await expect(page.getByText('waits to be sent')).toHaveCount(0);
    await written(page);
    await reload(page);
    await expect(shown).toHaveCount(2);
    for (const img of await shown.all())
      await expect.poll(() => img.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBe(320);
    await page.getByRole('button', { name: 'Take this photo away' }).first().click();
    await expect(shown).toHaveCount(1);
    await written(page);
    const bake = await (await page.request.get(`/api/v1/bakes/${id}`)).json();
    expect(bake.events.filter((e: { kind: string }) => e.kind === 'photo')).toHaveLength(2);
  });

  test('two tablets on one bake: what one taps, the other has, and nothing is asked twice', async ({
    page,
    context,
  }) => {
    const baker = new Baker(page, morning);
    const id = await baker.begins('lockside-white', 'By hand');
    const other = await context.newPage();
    await setClock(other, morning);
    await visit(other, `/bake/${id}`);
    for (const tick of await page.locator('button.tick').all()) await tick.click();
    await baker.taps('All in');
    const said = async () =>
      (await (await page.request.get(`/api/v1/bakes/${id}`)).json()).events.filter(
        (e: { kind: string }) => e.kind === 'step',
      ).length;
    await expect.poll(said).toBe(1);
    // The other tablet hears of it by itself.
    await expect(step(other)).toHaveText('Weigh, mix and knead');
    await other.getByRole('button', { name: 'Start kneading' }).click();
    await expect.poll(said).toBe(2);
    await reload(page);
    // It is looked at while it is kneaded.
    await expect(step(page)).toHaveText('Dough check');
    // Both tap it: it is over once.
    await page.getByRole('button', { name: 'Looks right, carry on' }).click();
    await other.getByRole('button', { name: 'Looks right, carry on' }).click();
    await expect.poll(said).toBe(4);
    for (const tablet of [page, other]) {
      await reload(tablet);
      await expect(step(tablet)).toHaveText('Weigh, mix and knead');
      await expect(tablet.getByRole('button', { name: 'Kneaded' })).toBeVisible();
    }
  });

  test('a power cut in the machine: its clock stands, and goes on', async ({ page }) => {
    const baker = new Baker(page, morning);
    await baker.begins('lockside-white', 'Two-paddle machine');
    await baker.taps('All in, machine started');
    await baker.taps('Looks right, carry on');
    await baker.at('The machine bakes it');
    await baker.waits(60);
    await baker.taps('The power went out');
    await expect(page.getByText('The power is out.')).toBeVisible();
    await written(page);
    await reload(page);
    await expect(page.getByText('The power is out.')).toBeVisible();
    await baker.waits(4);
    await baker.taps('The power is back');
    await written(page);
    await reload(page);
    await expect(page.getByText(/minute (?:59|6[0-2]) of/)).toBeVisible();
    await expect(page.getByText(/12:4\d|11:4\d|11:3\d/).first()).toBeVisible();
  });

  test('over midnight times go on, with their day', async ({ page }) => {
    const baker = new Baker(page, thursday('22:40:00Z'));
    await baker.begins('lockside-white', 'By hand');
    for (const tick of await page.locator('button.tick').all()) await tick.click();
    await baker.taps('All in');
    await baker.taps('Start kneading');
    await baker.taps('Looks right, carry on');
    await baker.taps('Kneaded');
    await baker.at('First rise');
    await expect(page.locator('.when b')).toHaveText(/^Fri 0[01]:\d\d$/);
    await written(page);
    await baker.waits(110);
    await reload(page);
    await expect(page.locator('.when b')).toHaveText(/^0[01]:\d\d$/);
    await baker.taps('It has risen');
    await baker.at('Divide and shape');
  });

  test('rescue is one touch away: a spoon, a wait, what happened; kept as a bake', async ({
    page,
  }) => {
    await visit(page, '/pantry');
    await page.getByRole('link', { name: 'Rescue a dough' }).click();
    await expect(page).toHaveURL(/\/bake\/rescue$/);
    await page.locator('html[data-ready]').waitFor({ state: 'attached' });
    await page.getByRole('button', { name: /slack/ }).click();
    const now = page.getByRole('region', { name: 'What to do now' });
    await expect(now).toContainText(/tablespoon of strong bread flour/);
    await expect(now).toContainText(/Less strong bread flour went in|More water went in/);
    await page.getByLabel('Grams of water').fill('a lot');
    await page.getByLabel('Grams of water').blur();
    await expect(alarm(page)).toContainText('About how many grams');
    await page.getByRole('radio', { name: 'It does not rise' }).click();
    await expect(now).toContainText('somewhere warm');
    await page.getByLabel('Hours since it was mixed').fill('9');
    await page.getByLabel('Hours since it was mixed').blur();
    await expect(now.getByRole('listitem').first()).toContainText(/packet of yeast/);
    await page.getByRole('radio', { name: 'It has gone too far' }).click();
    await page.getByRole('radio', { name: 'fallen in' }).click();
    await expect(page.getByRole('list', { name: 'What can still be saved' })).toContainText(
      'Press the gas out',
    );
    await page.getByRole('radio', { name: 'It feels wrong' }).click();
    await page.getByRole('button', { name: 'Carry on as a bake' }).click();
    await expect(page).toHaveURL(/\/bake\/(?!rescue)/);
    await expect(step(page)).toHaveText('Dough check');
  });

  test('a first loaf: what to buy, then sentence by sentence, its words explained', async ({
    page,
  }) => {
    await visit(page, '/bake/first');
    await expect(page.getByRole('region', { name: 'Buy this' })).toContainText(
      'strong bread flour',
    );
    await page.getByRole('button', { name: 'Everything is here: begin' }).click();
    await expect(page).toHaveURL(/\/bake\/.+-0$/);
    await expect(step(page)).toHaveText('Weigh the ingredients');
    await expect(page.getByText('Weigh into the bowl, in this order.')).toBeVisible();
    await page.getByRole('button', { name: 'Next sentence' }).click();
    await expect(page.getByText(/One at a time/)).toBeVisible();
    await written(page);
    await reload(page);
    await expect(page.getByText(/One at a time/)).toBeVisible();
    await toStep(page, 'First rise');
    await page
      .getByRole('button', { name: /first rise/ })
      .first()
      .click();
    await expect(page.getByText(/The whole dough rises/)).toBeVisible();
  });

  test('a machine, a tin and a custom are told in the pantry, and bake day goes by them', async ({
    page,
  }) => {
    await visit(page, '/pantry/kitchen');
    const pans = page.getByRole('region', { name: 'Tins, pots, baskets and bowls' });
    await pans.getByLabel('Name', { exact: true }).fill('Long tin');
    await pans.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByText('Saved.')).toBeVisible();
    const holds = pans.getByLabel('Holds, ml').last();
    await holds.fill('99999');
    await holds.blur();
    await expect(alarm(page)).toContainText('A pan holds 50 to 30000 ml');
    await holds.fill('10000');
    await holds.blur();
    await expect(pans.getByText(/for about 4352\sg of dough/)).toBeVisible();
    await page.getByLabel('What it is called').fill('A piece set aside');
    await page.getByLabel('From flour, g').fill('400');
    await page.getByLabel('Set aside, g').fill('30');
    await page.getByLabel('Set aside, g').blur();
    const kept = async () => (await (await page.request.get('/api/v1/household')).json()).custom;
    await expect.poll(kept).toEqual({ name: 'A piece set aside', fromFlour: 400, grams: 30 });
    const baker = new Baker(page, morning);
    await baker.begins('lockside-white', 'By hand');
    await expect(page.getByText(/A piece set aside: set 30\sg of dough aside/)).toBeVisible();
    await toStep(page, 'Divide and shape');
    await page.getByRole('combobox', { name: /^In/ }).selectOption({ label: 'Long tin' });
    await expect(
      page.getByRole('status').filter({ hasText: 'Long tin is too large' }),
    ).toContainText('10 l wants');
    await baker.taps('It is set aside');
    await expect(page.getByText(/30\sg are set aside/)).toBeVisible();
    await page.request.patch('/api/v1/household', { data: { custom: null } });
  });

  test('a probe in the fire, a bread at 900 °C: refused in words', async ({ page }) => {
    const baker = new Baker(page, morning);
    await baker.begins('lockside-white', 'By hand');
    await toStep(page, /^Bake/);
    await page.getByLabel('Probe shows').fill('900');
    await page.getByRole('button', { name: 'Save', exact: true }).last().click();
    await expect(alarm(page)).toContainText('is the probe in the bread?');
    await baker.switchesOn();
    await baker.drawer.getByLabel('Put into, °C').fill('900');
    await baker.drawer.getByRole('button', { name: 'Put it in' }).click();
    await expect(alarm(page).last()).toContainText('A probe shows −40 to 300');
    await baker.drawer.getByLabel('Grams', { exact: true }).fill('-300000');
    await baker.drawer.getByRole('button', { name: 'Put on' }).click();
    await expect(alarm(page).last()).toContainText('A scale shows −10 to 30 kg');
  });
});

test.describe('a kitchen whose server dies', () => {
  let server: Served;
  test.afterEach(async () => {
    await server.stop();
    rmSync(server.folder, { recursive: true, force: true });
  });

  test(
    'at every step it is killed and started again, the page is loaded again: the bake is where it was',
    { tag: '@long' },
    async ({ browser }) => {
      const port = String(20_000 + Math.floor(Math.random() * 20_000));
      server = await serve({ PORT: port });
      const context = await browser.newContext({ baseURL: server.url });
      const page = await context.newPage();
      await giveUpAll(page);
      const begun = await page.request.post('/api/v1/bakes', {
        data: { formulaId: 'sluice-gate-plait', formulaVersion: 1, method: 'hand' },
      });
      const { id } = (await begun.json()) as { id: string };
      await visit(page, `/bake/${id}`);
      const taps: ReadonlyArray<readonly [tap: string | RegExp, then: string]> = [
        ['All in', 'Weigh, mix and knead'],
        ['Start kneading', 'Dough check'],
        ['Looks right, carry on', 'Weigh, mix and knead'],
        ['Kneaded', 'First rise'],
        ['It has risen', 'Divide and shape'],
        ['Shaped', 'Final proof'],
        ['Ready for the oven', 'Bake'],
        [/^In the oven$/, 'Bake'],
        ['Done baking', 'Cool before cutting'],
        ['It has cooled', 'Result'],
      ];
      for (const [tap, then] of taps) {
        await server.stop('SIGKILL');
        await page.getByRole('button', { name: tap }).first().click();
        await expect(step(page)).toHaveText(then);
        server = await serve({ PORT: port }, server.folder);
        await written(page);
        await reload(page);
        await expect(step(page), String(tap)).toHaveText(then);
      }
      const bake = await (await page.request.get(`/api/v1/bakes/${id}`)).json();
      const said = bake.events.map(
        (e: { kind: string; data: { step?: string; rise?: string; sense?: string } }) =>
          `${e.kind} ${e.data.step ?? e.data.rise ?? ''} ${e.data.sense ?? ''}`,
      );
      expect(new Set(said).size, 'nothing was asked twice').toBe(said.length);
      await context.close();
    },
  );
});
