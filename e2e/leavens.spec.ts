import { testTime } from '../scripts/test-clock.mjs';
import { reload, expect, test, visit } from './fixtures.ts';

test('a starter is revived for Sunday: its feedings backwards from then, and written down', async ({
  page,
}) => {
  await visit(page, '/pantry/leavens');
  const lock = page.getByRole('region', { name: 'Lock, of white' });
  // The demo left it in the fridge for two weeks: two feedings before it raises a dough.
  await expect(lock).toContainText('two feedings in the room');
  const ripe = lock.getByRole('group', { name: 'Ripe for a bake' });
  await expect(ripe.getByRole('combobox', { name: 'Feedings' })).toHaveValue('2');
  const sunday = testTime(3 * 86_400_000)
    .toISOString()
    .slice(0, 10);
  await ripe.getByLabel('Ripe at').fill(`${sunday}T09:00`);
  await expect(ripe.getByRole('listitem')).toHaveCount(2);
  await expect(ripe.getByRole('listitem').last()).toContainText(/g of starter, .* of flour/);
  await ripe.getByRole('combobox', { name: 'Feedings' }).selectOption('3');
  await expect(ripe.getByRole('listitem')).toHaveCount(3);
  const soon = testTime(4 * 3_600_000)
    .toISOString()
    .slice(0, 16);
  await ripe.getByLabel('Ripe at').fill(soon);
  await expect(ripe.getByRole('alert')).toContainText('3 feedings take 9 hours at least');
  await ripe.getByLabel('The dough takes').fill('0');
  await expect(ripe.getByRole('alert')).toContainText('above 0');

  const fed = lock.getByRole('form', { name: 'Fed just now' });
  await fed.getByLabel('Starter, g').fill('0');
  await fed.getByRole('button', { name: 'Write it down' }).click();
  await expect(lock.getByText('Starter and flour need some grams')).toBeVisible();
  await fed.getByLabel('Starter, g').fill('22');
  await fed.getByRole('button', { name: 'Write it down' }).click();
  await expect(lock).toContainText('rising: fed not long ago');
  await lock.getByRole('button', { name: 'It stands highest now' }).click();
  await expect(lock).toContainText('highest after');
  await reload(page);
  await expect(lock).toContainText('22 g + ');
});

test('two jars: fed alike, seen at their highest, and what that says is drawn', async ({
  page,
}) => {
  await page.request.patch('/api/v1/bags/twins', {
    data: { was: {}, now: { name: 'Twins', kind: 'starter', ingredient: 'bread-flour' } },
  });
  await visit(page, '/pantry/leavens');
  const jar = page.getByRole('region', { name: 'Twins' });
  await jar.getByText('Test it with two jars').click();
  const feeds = async (warm: string, cool: string) => {
    await jar.getByLabel('Warm place').fill(warm);
    await jar.getByLabel('Cool place').fill(cool);
    await jar.getByRole('button', { name: 'Both are fed' }).click();
  };
  await feeds('', '');
  await expect(jar.getByRole('alert')).toContainText('How warm');
  await feeds('24', '20');
  await expect(jar.getByRole('alert')).toContainText('too alike');
  await feeds('60', '20');
  await expect(jar.getByRole('alert')).toContainText('Places of 5');
  await feeds('28', '19');
  const warm = jar.getByRole('listitem').filter({ hasText: 'Warm jar' });
  const cool = jar.getByRole('listitem').filter({ hasText: 'Cool jar' });
  await warm.getByRole('button', { name: 'It begins to rise' }).click();
  await expect(warm).toContainText('began to rise');
  await expect(jar.getByRole('img', { name: /Hours from feeding/ })).toHaveCount(0);
  // A day passes for what was seen of it.
  const { feedings } = (await (await page.request.get('/api/v1/bags/twins/feedings')).json()) as {
    feedings: Array<{ id: string; at: string; celsius: number }>;
  };
  for (const { id, at, celsius, ...row } of feedings) {
    const fed = new Date(Date.parse(at) - 86_400_000);
    const hours = celsius === 28 ? 3.5 : 8;
    await page.request.put(`/api/v1/bags/twins/feedings/${id}`, {
      data: { ...row, celsius, at: fed.toISOString(), risingAt: undefined },
    });
    await page.request.put(`/api/v1/bags/twins/feedings/${id}/peak`, {
      data: { at: new Date(fed.getTime() + hours * 3_600_000).toISOString() },
    });
  }
  await reload(page);
  await jar.getByText('Test it with two jars').click();
  await expect(warm).toContainText('stood highest after 3 h 30 min');
  await expect(cool).toContainText('stood highest after 8 h');
  await expect(jar.getByRole('img', { name: /Hours from feeding/ })).toBeVisible();
  await expect(jar.getByRole('table')).toContainText('23 °C');
  await jar.getByRole('button', { name: 'Do it again' }).click();
  await expect(jar.getByLabel('Warm place')).toBeVisible();
});

test('another starter and a packet of yeast are added, changed and used up', async ({ page }) => {
  await visit(page, '/pantry/leavens');
  const another = page.getByRole('region', { name: 'Another starter' });
  await another.getByRole('button', { name: 'Add it' }).click();
  await expect(another.getByText('A name is wanted.')).toBeVisible();
  await another.getByLabel('Name').fill('Stiff one');
  await another.getByLabel('Water, % of its flour').fill('5');
  await another.getByRole('button', { name: 'Add it' }).click();
  await expect(another.getByRole('alert')).toBeVisible();
  await another.getByLabel('Water, % of its flour').fill('60');
  await another.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('region', { name: 'Stiff one' })).toContainText('60 % water');

  const yeast = page.getByRole('region', { name: 'Yeast' });
  await yeast.getByLabel('Name').fill('Cube');
  await yeast.getByRole('combobox', { name: /^Kind/ }).selectOption({ label: 'fresh yeast' });
  await yeast.getByRole('button', { name: 'Add it' }).click();
  await expect(yeast.getByText('Cube', { exact: true })).toBeVisible();
  await yeast.getByRole('button', { name: 'Change Cube' }).click();
  await yeast.getByLabel('Used up').check();
  await yeast.getByRole('button', { name: 'Keep' }).click();
  await expect(yeast).toContainText('fresh yeast, used up');
});

test('a formula’s starter is said to be one of them', async ({ page }) => {
  await visit(page, '/bench/towpath-sourdough');
  await expect(page.getByText('of Barge, of rye')).toBeVisible();
  await page.getByRole('button', { name: 'What to do with the part Starter' }).click();
  await page.getByRole('menuitem', { name: 'It is of Lock, of white' }).click();
  await expect(page.getByText('of Lock, of white')).toBeVisible();
});

test('what a stiff starter was fed stands in its own fields until something else is typed', async ({
  page,
}) => {
  await page.request.post('/api/v1/bags', {
    data: { name: 'Firm, for feasts', ingredient: 'bread-flour', kind: 'starter', hydration: 0.6 },
  });
  await visit(page, '/pantry/leavens');
  const fed = page
    .getByRole('region', { name: 'Firm, for feasts', exact: true })
    .getByRole('form', { name: 'Fed just now' });
  await expect(fed.getByLabel('Starter, g')).toHaveValue('20');
  await expect(fed.getByLabel('Flour, g')).toHaveValue('50');
  await expect(fed.getByLabel('Water, g')).toHaveValue('30');
});
