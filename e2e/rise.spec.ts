import { reload, expect, test, visit, toStep } from './fixtures.ts';

test.use({ bench: 'whole' });

test('when it will be ready, warm and cold, and the yeast for a time, taken as a correction', async ({
  page,
}) => {
  await visit(page, '/bench/lockside-white');
  await page.getByRole('tab', { name: 'Rise' }).click();
  const when = page.getByRole('list', { name: 'When it will be ready' });
  await page.getByLabel('Where it stands').fill('26');
  await expect(when.getByRole('listitem').first()).toContainText(/about 1 h \d+ min/);
  await expect(
    page.getByRole('img', { name: /^The first rise: doubled after about 1 h/ }),
  ).toBeVisible();
  await page.getByLabel('Where it stands').fill('5');
  await expect(when.getByRole('listitem').first()).toContainText(/about (1 h [3-5]\d|2 h|[3-9] h)/);
  await page.getByLabel('Where it stands').fill('60');
  await expect(page.getByText(/above, yeast dies/)).toBeVisible();
  await page.getByLabel('Where it stands').fill('22');

  await page.getByLabel('Into the fridge after').fill('0,5');
  await expect(when.getByRole('listitem').first()).toContainText(
    /about (1 h [3-5]\d|[2-9] h|[1-9]\d h)/,
  );
  await page.getByLabel('Into the fridge after').fill('');

  await page.getByLabel('First rise ready in').fill('5');
  await expect(page.getByText('stand now')).toBeVisible();
  await page.getByRole('button', { name: 'Take it', exact: true }).click();
  const grams = page.getByLabel('Grams of instant yeast');
  await expect(grams).not.toHaveValue('5');
  expect(Number(await grams.inputValue())).toBeLessThan(2);
  await page.getByLabel('First rise ready in').fill('0.2');
  await expect(page.getByText(/^Too soon:/)).toBeVisible();
  await page.getByLabel('First rise ready in').fill('soon');
  await expect(page.getByText('A number of hours, up to 96.')).toBeVisible();
});

test('a starter is fed for the hour that it is wanted', async ({ page }) => {
  await visit(page, '/bench/towpath-sourdough');
  await page.getByRole('tab', { name: 'Rise' }).click();
  const feed = page.getByRole('region', { name: 'Feed the starter for it' });
  await page.getByLabel('Where it stands').fill('22');
  await page.getByLabel('Ripe in, hours').fill('6');
  await expect(feed.locator('.text-xl')).toContainText(/of starter, .* of flour, .* of water/);
  const soon = await feed.locator('.text-xl').textContent();
  await page.getByLabel('Ripe in, hours').fill('12');
  await expect(feed.locator('.text-xl')).not.toHaveText(soon!);
  await page.getByLabel('Ripe in, hours').fill('0.2');
  await expect(feed).toContainText('this is the nearest');
  await page.getByLabel('Ripe in, hours').fill('never');
  await expect(feed.getByRole('alert')).toBeVisible();
});

test('a dough without flour is not told a time', async ({ page }) => {
  await visit(page, '/bench/thin-slice-seed');
  await page.getByRole('tab', { name: 'Rise' }).click();
  await expect(page.getByText(/without cereal flour: go by eye/)).toBeVisible();
});

test('how much starter, how long, how sour: the dot is moved, taken, and doped for the evening', async ({
  page,
}) => {
  await visit(page, '/bench/towpath-sourdough');
  await page.getByRole('tab', { name: 'Leaven' }).click();
  const dot = page.getByRole('slider', { name: 'Starter' });
  await expect(dot).toHaveAttribute('aria-valuetext', /g, .*h.*, (mild|lightly sour|tangy|sharp)/);
  const before = Number(await dot.getAttribute('aria-valuenow'));
  await dot.focus();
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowDown');
  expect(Number(await dot.getAttribute('aria-valuenow'))).toBeLessThan(before * 0.8);
  const box = (await dot.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x, box.y + 30, { steps: 4 });
  await page.mouse.up();
  const lower = Number(await dot.getAttribute('aria-valuenow'));
  expect(lower).toBeLessThan(before * 0.7);
  const starter = page.getByRole('region', { name: 'Starter', exact: true });
  await starter.getByRole('button', { name: 'Take it' }).click();
  await expect(starter.getByRole('button', { name: 'Take it' })).toBeHidden();
  await expect
    .poll(async () => Number(await dot.getAttribute('aria-valuenow')))
    .toBeCloseTo(lower, 0);

  await starter.getByRole('button', { name: 'tangy' }).click();
  await expect(dot).toHaveAttribute('aria-valuetext', /tangy$/);
  await starter.getByRole('button', { name: 'As it was' }).click();

  const doping = page.getByRole('region', { name: /For the same evening/ });
  await doping.getByLabel('First rise ready in').fill('0.2');
  await expect(doping).toContainText('No amount of yeast is that quick');
  await doping.getByLabel('First rise ready in').fill('4');
  await expect(doping).toContainText(/g of yeast/);
  await doping.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByLabel(/^Grams of instant yeast/)).toBeVisible();
  await expect(doping).toBeHidden();
});

test('a starter is made stiffer, and a dough is said to rise in the fridge', async ({ page }) => {
  await visit(page, '/bench/towpath-sourdough');
  await page.getByRole('tab', { name: 'Leaven' }).click();
  const wet = page.getByLabel('Water of the starter');
  await wet.fill('500');
  await expect(page.getByText('no more water than the dough has')).toBeVisible();
  await wet.fill('80');
  await page.getByRole('button', { name: 'Make it so' }).click();
  await expect(wet).toHaveAttribute('placeholder', '80');
  const cold = page.getByRole('checkbox', { name: 'First rise in the fridge' });
  await cold.check();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await reload(page);
  await page.getByRole('tab', { name: 'Leaven' }).click();
  await expect(cold).toBeChecked();
  await cold.uncheck();
  await page.getByLabel('Autolyse').check();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.getByLabel('Autolyse').uncheck();
});

test('a poolish is taken out of the dough in one gesture, and mixed with it again', async ({
  page,
}) => {
  await visit(page, '/bench/lockside-whole');
  await page.getByRole('tab', { name: 'Leaven' }).click();
  await page.getByRole('button', { name: 'Poolish, overnight: do that' }).click();
  await expect(page.getByText('Poolish', { exact: true }).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Poolish, overnight: do that' })).toBeHidden();
  await page.getByRole('tab', { name: 'Rise' }).click();
  await expect(page.getByRole('list', { name: 'When it will be ready' })).toContainText('about');
});

test('a rise is noted on the bake’s page: it leads by the clock, and the leaven is learned', async ({
  page,
}) => {
  const begun = await page.request.post('/api/v1/bakes', {
    data: { formulaId: 'towpath-sourdough', formulaVersion: 1, method: 'hand' },
  });
  const { id } = (await begun.json()) as { id: string };
  await visit(page, `/bake/${id}`);
  await toStep(page, 'First rise');
  const over = page.locator('.when b');
  await expect(over).toHaveText(/\d\d:\d\d/);
  await page.getByRole('button', { name: 'Start the rise' }).click();
  await expect(page.getByText(/most likely/)).toBeVisible();
  const before = await over.textContent();
  await page.getByLabel(/^Air around it/).fill('12');
  await page.getByLabel(/^Air around it/).press('Enter');
  await expect(over).not.toHaveText(before!);
  await page.getByRole('button', { name: 'Not yet' }).click();
  await expect(page.getByText(/\d\d:\d\d not yet/)).toBeVisible();
  await page.getByRole('button', { name: 'Over-proofed' }).click();
  const senses = async () => {
    const { events } = (await (await page.request.get(`/api/v1/bakes/${id}`)).json()) as {
      events: Array<{ kind: string; data: { sense?: string } }>;
    };
    return events.filter((e) => e.kind === 'rise').map((e) => e.data.sense);
  };
  await expect.poll(senses).toEqual(['begun', 'not-yet', 'past']);
  await page.getByRole('button', { name: /^Undo: / }).click();
  await page.getByRole('button', { name: 'It has risen' }).click();
  await expect(page.getByRole('heading', { name: 'Divide and shape' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo: First rise ready' }).click();
  await expect(page.getByRole('heading', { name: 'First rise' })).toBeVisible();
  // It is written down: a reload has it.
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await reload(page);
  await expect(page.getByText('done about')).toBeVisible();
});
