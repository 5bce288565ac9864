import { Baker } from './baker.ts';
import { expect, giveUpAll, test, visit } from './fixtures.ts';
import { thursday } from './thursday.ts';

test.use({ household: 'baking' });

/** A morning by the clock of the page. */
const morning = thursday('08:00:00Z');

test.describe('a bake is led from the scale to the cooled bread, by the screen alone', () => {
  test.beforeEach(async ({ page }) => giveUpAll(page));

  test('an enriched plait by machine and oven', async ({ page }) => {
    const baker = new Baker(page, morning);
    await baker.begins('sluice-gate-plait', 'Two-paddle machine');
    await baker.at('Weigh the ingredients');
    await expect(page.getByText('Two-paddle machine: Dough')).toBeVisible();
    await baker.switchesOn();
    await baker.weighsAll();
    await baker.waits(10);
    await baker.taps('All in, machine started');
    await baker.at('Dough check');
    await expect(page.getByText('look at')).toBeVisible();
    await baker.waitsUntilShown();
    await baker.feels('tacky');
    await baker.taps('Looks right, carry on');
    await baker.at('The machine kneads and rises it');
    await baker.waitsUntilShown();
    await baker.taps('Kneaded');
    await baker.at('Divide and shape');
    await expect(page.getByRole('textbox', { name: 'Strands' })).toHaveValue('3');
    const strands = await baker.dividesAll();
    expect(strands).toHaveLength(3);
    // What is left over is spread over the pieces, and nothing stays on the bench.
    await expect(page.getByText('All 3 are there.')).toBeVisible();
    await baker.taps('Next move');
    await expect(page.getByRole('region', { name: 'The plait' })).toContainText(
      '2. Left strand over the middle one',
    );
    await baker.taps('Shaped');
    await baker.at('Final proof');
    await baker.taps('nearly double');
    await baker.taps('comes back slowly');
    await expect(page.getByText('Ready: into the oven.')).toBeVisible();
    // The oven calls while the dough proofs.
    await baker.waitsUntilShown();
    await baker.taps('Not yet');
    // How long before its end depends on what this household's leaven has shown.
    await expect(async () => {
      await baker.waits(10);
      await expect(page.getByText('Heat the oven now')).toBeVisible({ timeout: 1500 });
    }).toPass({ timeout: 60_000 });
    await baker.taps('The oven is on');
    await expect(page.getByText('Heat the oven now')).toBeHidden();
    await baker.taps('Ready for the oven');
    await baker.bakesByProbe(91);
    await baker.at('Cool before cutting');
    await baker.waitsUntilShown();
    await baker.taps('It has cooled');
    await baker.judges('good');
  });

  test(
    'a sourdough in a machine: dough stage, risen by eye, bake only',
    { tag: '@long' },
    async ({ page }) => {
      const baker = new Baker(page, morning);
      await baker.begins('towpath-sourdough', 'Two-paddle machine');
      await baker.at('Feed the starter');
      const fed = page.getByRole('list', { name: 'What it is fed with' });
      await expect(fed.getByRole('listitem')).toHaveCount(3);
      await expect(fed).toContainText(/\d+\sg/);
      await baker.waits(5);
      await baker.taps('Fed');
      await baker.at(/ripens/);
      await baker.waitsUntilShown();
      await baker.taps('It is ripe');
      await baker.at('Weigh the ingredients');
      await baker.switchesOn();
      await baker.weighsAll();
      await baker.taps('All in, machine started');
      await baker.waitsUntilShown();
      await baker.feels('slack');
      await baker.taps('Looks right, carry on');
      await baker.at('The machine kneads it');
      await expect(page.getByText(/switch it off after \d+ minutes/)).toBeVisible();
      await baker.taps('Kneaded');
      await baker.at('First rise');
      await expect(page.getByText(/most likely/)).toBeVisible();
      await baker.waitsUntilShown();
      await baker.taps('half again');
      await baker.taps('It has risen');
      await baker.at('Fold it, and the paddle out');
      await baker.taps('Shaped');
      await baker.at('Final proof');
      await baker.waitsUntilShown();
      await baker.taps('Ready for the oven');
      await baker.at('Bake only');
      await expect(page.getByText(/about 15 minutes short/)).toBeVisible();
      await expect(page.getByText(/Pull the plug and put gloves on/)).toBeVisible();
      await baker.taps(/^In the oven$/);
      await baker.probes(97);
      await baker.taps(/The probe says 97/);
      await baker.taps('Done baking');
      await baker.taps('It has cooled');
      await baker.judges('excellent');
    },
  );

  test(
    'a poolish pizza over two days: the poolish is weighed on its own, and comes in whole',
    { tag: '@long' },
    async ({ page }) => {
      const baker = new Baker(page, thursday('18:00:00Z'));
      await visit(page, '/');
      await page
        .locator('#recipe')
        .fill(
          'Lock-keeper pizza\n\n500 g bread flour\n325 g water\n10 g oil\n11 g salt\n2 g instant yeast',
        );
      await page.getByRole('button', { name: 'Open this recipe' }).click();
      await expect(page).toHaveURL(/\/bench\/.+/);
      const formula = page.url().split('/').at(-1)!;
      await page.getByRole('tab', { name: 'Leaven' }).click();
      await page.getByRole('button', { name: 'Poolish, overnight: do that' }).click();
      await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
      await baker.begins(formula, 'By hand');
      await baker.at('Stir Poolish');
      await baker.switchesOn();
      expect(await baker.weighsAll()).toBe(3);
      await baker.taps('Stirred');
      await baker.at(/ripens/);
      const night = await baker.waitsUntilShown();
      expect(night, 'it ripens overnight').toBeGreaterThan(6 * 60);
      await baker.taps('It is ripe');
      await baker.at('Weigh the ingredients');
      await expect(page.getByRole('list', { name: 'To weigh' })).toContainText(
        'all of it, scraped out',
      );
      await baker.weighsAll();
      await baker.taps('All in');
      await baker.at('Weigh, mix and knead');
      await baker.taps('Start kneading');
      await baker.waits(10);
      await baker.feels('tacky');
      await baker.taps('Looks right, carry on');
      await baker.taps('Kneaded');
      await baker.at('First rise');
      await baker.waitsUntilShown();
      await baker.taps('It has risen');
      await page.getByLabel('Pieces', { exact: true }).first().fill('3');
      await page.getByLabel('Pieces', { exact: true }).first().press('Enter');
      const balls = await baker.dividesAll();
      expect(balls).toHaveLength(3);
      expect(Math.max(...balls) - Math.min(...balls)).toBeLessThan(3);
      await baker.taps('Shaped');
      await baker.waitsUntilShown();
      await baker.taps('Not yet');
      await baker.taps('The oven is on');
      await baker.taps('Ready for the oven');
      await expect(page.getByText(/second lowest rack/).first()).toBeVisible();
      await baker.bakesByProbe(96);
      await baker.at('To the table');
      await expect(page.getByText('It is eaten hot.').last()).toBeVisible();
      await baker.taps('It has cooled');
      await baker.judges('good');
    },
  );

  test('nine low-carb buns, weighed in the pan', { tag: '@long' }, async ({ page }) => {
    const baker = new Baker(page, morning);
    await baker.begins('thin-slice-seed', 'By hand');
    await baker.switchesOn();
    await baker.weighsAll();
    await baker.taps('All in');
    await baker.taps('Start kneading');
    // A look at the dough is told in full.
    await expect(page.getByText(/one springy, slightly sticky lump/)).toBeVisible();
    await expect(page.getByText('The flour is still taking up water')).toBeVisible();
    await baker.waits(35);
    await expect(page.getByText('The flour has taken up its water')).toBeVisible();
    await baker.feels('batter');
    await expect(page.getByRole('button', { name: /^Added .* of oat fibre/ })).toBeVisible();
    await baker.taps(/^Added .* of oat fibre/);
    await baker.feels('tacky');
    await baker.taps('Looks right, carry on');
    await baker.taps('Kneaded');
    await baker.at('Divide and shape');
    await page.getByLabel('Shaped to').selectOption({ label: 'rolls' });
    const pieces = page.getByLabel('Pieces', { exact: true }).first();
    await pieces.fill('0');
    await pieces.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: 'divided into 1 to' })).toBeVisible();
    await pieces.fill('9');
    await pieces.press('Enter');
    await expect(page.getByText(/each of 9/)).toBeVisible();
    // The pan stands on the scale, with what is in it: each bun is counted from there.
    await baker.puts(480);
    await expect(page.getByText(/On the scale: 4\d\d/)).toBeVisible();
    await baker.taps('Count from here');
    const buns = await baker.dividesAll();
    expect(buns).toHaveLength(9);
    expect(Math.max(...buns) - Math.min(...buns)).toBeLessThan(3);
    await baker.taps('Shaped');
    await baker.at('Final proof');
    await expect(page.getByText('no forecast for this dough')).toBeVisible();
    await baker.waitsUntilShown();
    await baker.taps('The oven is on');
    await baker.taps('Ready for the oven');
    await expect(page.getByText(/16\d\s°C|15\d\s°C/).first()).toBeVisible();
    await baker.bakesByProbe(95);
    await baker.waitsUntilShown();
    await baker.taps('It has cooled');
    await baker.judges('OK');
  });

  test('two bakes at once: each page says what the other wants, and neither loses its place', async ({
    page,
  }) => {
    const baker = new Baker(page, morning);
    const first = await baker.begins('lockside-white', 'By hand');
    for (const tick of await page.locator('button.tick').all()) await tick.click();
    await baker.taps('All in');
    await baker.taps('Start kneading');
    await baker.waits(15);
    await baker.feels('tacky');
    await baker.taps('Looks right, carry on');
    await baker.taps('Kneaded');
    await baker.at('First rise');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    const second = await baker.begins('wash-house-hundred', 'Two-paddle machine');
    for (const tick of await page.locator('button.tick').all()) await tick.click();
    await baker.taps('All in, machine started');
    const meanwhile = page.getByRole('list', { name: 'Meanwhile, of the other bakes' });
    await expect(meanwhile).toContainText('Divide and shape: Lockside tin loaf, white');
    await meanwhile.getByRole('link').first().click();
    await expect(page).toHaveURL(new RegExp(`/bake/${first}$`));
    await baker.at('First rise');
    await baker.taps('It has risen');
    await baker.at('Divide and shape');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    // The day as one line of time has both, and the next thing to do across them.
    await visit(page, '/bake');
    await expect(
      page.getByRole('heading', { name: /To be done now|The next thing/ }),
    ).toBeVisible();
    const list = page.getByRole('list', { name: 'Do this at' });
    await expect(list).toContainText('Wash-house hundred');
    await expect(list).toContainText('Lockside tin loaf, white');
    await visit(page, `/bake/${second}`);
    await baker.at('Dough check');
    await baker.taps('Looks right, carry on');
    await baker.at('The machine bakes it');
    await expect(page.getByText(/\d\d:\d\d the paddle has stopped/)).toBeVisible();
    await baker.taps('The loaf is out');
    await baker.at('Cool before cutting');
    await baker.taps('It has cooled');
    await baker.judges('good');
    await visit(page, `/bake/${first}`);
    await baker.at('Divide and shape');
  });
});

test('a starter that is fed is fed in its jar too: once, with its peak, and until it is taken back', async ({
  page,
  server,
}) => {
  // The demo’s sourdough names it.
  const jar = 'barge-rye';
  const feedings = async () =>
    (
      (await (await page.request.get(`${server.url}/api/v1/bags/${jar}/feedings`)).json()) as {
        feedings: Array<{ bake?: string; peakAt?: string; seed: number }>;
      }
    ).feedings.filter((f) => f.bake);
  await visit(page, '/bench/towpath-sourdough');
  await page.getByRole('button', { name: 'Bake this' }).click();
  await expect(page).toHaveURL(/\/bake\/.+/);
  await page.getByRole('button', { name: 'Feed' }).first().click();
  await expect(page.getByRole('list', { name: 'What it is fed with' })).toBeVisible();
  await page.getByRole('button', { name: 'Fed' }).click();
  await expect(page.locator('#step')).toHaveText('Starter ripens');
  await page.getByRole('button', { name: 'It stands highest now' }).click();
  await expect.poll(async () => (await feedings())[0]?.peakAt).toBeTruthy();
  const [fed, ...others] = await feedings();
  expect(others).toEqual([]);
  expect(fed!.seed).toBeGreaterThan(1);
  const bake = page.url();
  await visit(page, '/pantry/leavens');
  await expect(page.getByRole('link', { name: 'in a bake' })).toHaveCount(1);
  await visit(page, bake);
  const back = page.getByRole('button', { name: /^Undo: / });
  await back.click();
  await expect.poll(async () => (await feedings())[0]?.peakAt).toBe(undefined);
  await back.click();
  await expect.poll(feedings).toEqual([]);
});
