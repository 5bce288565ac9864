import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { useFonts } from '../apps/web/test/cards/fonts.ts';
import { reload, expect, test, visit } from './fixtures.ts';

useFonts();
test.use({ household: 'baking' });

const rows = [
  'Photographed loaf',
  '',
  '500 g strong bread flour',
  '1½ cups warm water',
  '10 g fine salt',
  '7 g instant yeast',
  '',
  'Method',
  '1. Mix everything and knead for ten minutes.',
  '2. Bake at 220 °C for 35 minutes.',
];

/** A card, on the disk of whoever photographed it. */
async function card(folder: string, name: string, of: readonly string[]): Promise<string> {
  const { default: sharp } = await import('sharp');
  const text = of.map((row, i) => `<text x="60" y="${80 + i * 44}">${row}</text>`).join('');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="${140 + of.length * 44}"><rect width="100%" height="100%" fill="#f6efdf"/><g font-family="DejaVu Sans" font-size="26" fill="#222">${text}</g></svg>`;
  const file = join(folder, name);
  writeFileSync(file, await sharp(Buffer.from(svg)).jpeg().toBuffer());
  return file;
}

test('a card is photographed: each row beside its strip, the doubtful one asked, the picture stays with the formula', async ({
  page,
  server,
}) => {
  await visit(page, '/');
  await page.getByLabel('From a file').setInputFiles(await card(server.folder, 'card.jpg', rows));
  await expect(page.getByTestId('reading')).toBeVisible();
  const text = page.locator('#recipe');
  await expect(text).toHaveValue(/^Photographed loaf\n/);
  const read = page.getByRole('list', { name: 'What was read' });
  const flour = read.getByRole('listitem').filter({ hasText: '500 g strong bread flour' });
  const strip = flour.getByRole('button', { name: /in the picture/ });
  await strip.locator('img').scrollIntoViewIfNeeded();
  await expect
    .poll(() => strip.locator('img').evaluate((img: HTMLImageElement) => img.naturalWidth))
    .toBeGreaterThan(200);
  await strip.click();
  const large = page.getByRole('dialog', { name: 'The recipe’s picture' });
  await expect(large.getByRole('img')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(large).toBeHidden();
  // Its fraction is asked about where it was not known, and read where it was: never another.
  const water = read.getByTestId('unread').filter({ hasText: 'warm water' });
  if ((await water.count()) > 0)
    await water.getByRole('button', { name: '1½ cups warm water' }).click();
  await expect(read.getByRole('listitem').filter({ hasText: 'warm water' })).toHaveText(
    /375\s?g\s*water/,
  );
  await page.getByRole('button', { name: 'Open this recipe' }).click();
  await expect(page).toHaveURL(/\/bench\//);
  await expect(page.getByLabel('Grams of strong bread flour')).toHaveValue('500');
  const photo = page.getByRole('img', { name: /Photo 1 of the recipe/ });
  await photo.scrollIntoViewIfNeeded();
  await expect
    .poll(() => photo.evaluate((img: HTMLImageElement) => img.naturalWidth))
    .toBeGreaterThan(100);
  await reload(page);
  await expect(photo).toBeVisible();
});

test('front and back are one text; a photo that is removed leaves what was read of it', async ({
  page,
  server,
}) => {
  await visit(page, '/');
  await page
    .getByLabel('From a file')
    .setInputFiles([
      await card(server.folder, 'front.jpg', ['Two-sided loaf', '400 g rye flour', '300 g water']),
      await card(server.folder, 'back.jpg', ['Bake at 210 °C for 40 minutes, with steam.']),
    ]);
  await expect(page.locator('#recipe')).toHaveValue(
    /Two-sided loaf\n400 g rye flour\n300 g water\n\nBake at 210/,
  );
  const photos = page.getByRole('list', { name: 'Photos of the recipe' });
  await expect(photos.getByRole('img')).toHaveCount(2);
  // What was read survives a page that is loaded anew.
  await reload(page);
  await expect(photos.getByRole('img')).toHaveCount(2);
  await photos.getByRole('button', { name: 'Remove photo 2' }).click();
  await expect(photos.getByRole('img')).toHaveCount(1);
  await expect(page.locator('#recipe')).toHaveValue(/Bake at 210/);
  await page.locator('#recipe').fill('');
  await photos.getByRole('button', { name: 'Remove photo 1' }).click();
});

test('what cannot be read is said in words; the picture stays beside an empty sheet', async ({
  page,
  server,
}) => {
  await visit(page, '/');
  const file = page.getByLabel('From a file');
  writeFileSync(join(server.folder, 'text.jpg'), '500 g flour');
  await file.setInputFiles(join(server.folder, 'text.jpg'));
  await expect(page.getByRole('alert').filter({ hasText: '“text.jpg”' })).toContainText('a text');
  await file.setInputFiles(await card(server.folder, 'blank.jpg', ['', '']));
  await expect(page.getByRole('alert').filter({ hasText: 'Hardly anything' })).toBeVisible();
  await page.getByRole('button', { name: 'Type the recipe beside the picture' }).click();
  await expect(page).toHaveURL(/\/bench\//);
  await expect(page.getByRole('img', { name: /Photo 1 of the recipe/ })).toBeVisible();
  await expect(page.getByPlaceholder('Add an ingredient')).toBeVisible();
});

test('a reading is stopped, and nothing of it stays', async ({ page, server }) => {
  await visit(page, '/');
  await page
    .getByLabel('From a file')
    .setInputFiles(await card(server.folder, 'stopped.jpg', rows));
  await page.getByTestId('reading').getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByTestId('reading')).toHaveCount(0);
  await expect(page.locator('#recipe')).toHaveValue('');
  await expect(page.getByRole('list', { name: 'Photos of the recipe' })).toHaveCount(0);
});
