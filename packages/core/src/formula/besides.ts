import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import type { Formula } from './formula.ts';

/**
 * What of the things outside the dough is known: a glaze's egg, a filling's nuts. They are eaten as well.
 *
 * @example besidesOf(formula, pantry).map((i) => i.id) // []
 */
export const besidesOf = ({ outside }: Formula, pantry: Pantry): Ingredient[] =>
  (outside ?? []).flatMap(({ ingredient: id }) =>
    id !== undefined && pantry.has(id) ? [pantry.ingredient(id)] : [],
  );
