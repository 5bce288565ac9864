import type { Ingredient } from './ingredient.ts';

/** Whether a fat is liquid in any kitchen. */
export const isOil = ({ name }: Pick<Ingredient, 'name'>): boolean => /\boil\b/i.test(name);
