/** The pages and states that are looked at, from an empty kitchen to a bake's last step; reached by address and structure. */
import type { Page } from '@playwright/test';
import { recipes } from '../golden/recipes.ts';

export interface Place {
  readonly name: string;
  /** Which of the counted views it belongs to; others are read, not counted. */
  readonly view?: 'Shelf' | 'Bench plain' | 'Bake, step by step' | 'Book' | 'Pantry';
  readonly path: string;
  readonly kitchen?: 'empty';
  readonly bench?: 'whole';
  readonly go?: (page: Page) => Promise<unknown>;
}

export const counted = ['Shelf', 'Bench plain', 'Bake, step by step', 'Book', 'Pantry'] as const;

const tab = (n: number) => (page: Page) =>
  page.getByRole('tablist').first().getByRole('tab').nth(n).click();

export const places: readonly Place[] = [
  { name: 'Shelf', view: 'Shelf', path: '/' },
  { name: 'Empty kitchen', path: '/', kitchen: 'empty' },
  {
    name: 'A pasted recipe',
    path: '/',
    kitchen: 'empty',
    go: async (page) => {
      const doors = page.getByRole('button', { name: 'I have a recipe' });
      if (await doors.count()) await doors.click();
      await page.locator('textarea').first().fill(Object.values(recipes)[0]!);
    },
  },
  { name: 'First loaf', path: '/bake/first', kitchen: 'empty' },
  { name: 'Dough in trouble', path: '/bake/rescue', kitchen: 'empty' },
  { name: 'Bake day, empty', path: '/bake', kitchen: 'empty' },
  { name: 'Book, empty', path: '/book', kitchen: 'empty' },
  { name: 'Pantry, empty', path: '/pantry', kitchen: 'empty' },
  { name: 'Bench: wholemeal', view: 'Bench plain', path: '/bench/lockside-whole' },
  { name: 'Bench: hundred', view: 'Bench plain', path: '/bench/wash-house-hundred' },
  { name: 'Bench: white', view: 'Bench plain', path: '/bench/lockside-white' },
  { name: 'Bench, whole', path: '/bench/wash-house-hundred', bench: 'whole' },
  ...[0, 1, 2, 3, 4, 5].map((n): Place => ({
    name: `Bench, tab ${n + 1}`,
    path: '/bench/towpath-sourdough',
    bench: 'whole',
    go: tab(n),
  })),
  { name: 'Bake day', path: '/bake' },
  { name: 'Book', view: 'Book', path: '/book' },
  { name: 'Book, compared', path: '/book/compare' },
  { name: 'Book, drawn', path: '/book/drawn' },
  { name: 'Book, what helped', path: '/book/helped?formula=wash-house-hundred' },
  { name: 'Book, learned', path: '/book/learned' },
  { name: 'Book, practice', path: '/book/practice' },
  { name: 'Book, backup', path: '/book/yours' },
  { name: 'Pantry', view: 'Pantry', path: '/pantry' },
  { name: 'Pantry, starters', path: '/pantry/leavens' },
  { name: 'Pantry, kitchen', path: '/pantry/kitchen' },
  { name: 'Pantry, prices', path: '/pantry/prices' },
  { name: 'Pantry, devices', path: '/pantry/devices' },
  { name: 'Pantry, figures', path: '/pantry/figures' },
  { name: 'In another kitchen', path: '/bake/rescue' },
  { name: 'No such page', path: '/bench/no-such-recipe' },
];
