import type { Ingredient } from './ingredient.ts';
import { drinksNothing } from './rows.ts';

type Row = Omit<Ingredient, 'absorption' | 'allergens'> &
  Partial<Pick<Ingredient, 'absorption' | 'allergens'>>;

/** An ingredient that drinks nothing and holds no allergen, unless it says so. */
export const quietRow = (ingredient: Row): Ingredient => ({
  absorption: drinksNothing,
  allergens: [],
  ...ingredient,
});
