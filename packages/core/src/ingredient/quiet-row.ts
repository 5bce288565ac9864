import type { Ingredient } from './ingredient.ts';
import { drinksNothing } from './rows.ts';

type Row = Omit<Ingredient, 'thirst' | 'allergens'> &
  Partial<Pick<Ingredient, 'thirst' | 'allergens'>>;

/** An ingredient that drinks nothing and holds no allergen, unless it says so. */
export const quietRow = (ingredient: Row): Ingredient => ({
  thirst: drinksNothing,
  allergens: [],
  ...ingredient,
});
