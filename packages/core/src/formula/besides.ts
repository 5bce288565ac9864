import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import type { Formula } from './formula.ts';

/** Something that is eaten, by what is known of it: what it is, and what the baker wrote. */
export interface Eaten {
  readonly of?: Ingredient;
  readonly asWritten?: string | undefined;
}

/**
 * The things outside the dough, a glaze's egg, a filling's nuts, and rows that were not read: they may be eaten as well.
 * What is not known is there by its words.
 *
 * @example besidesOf(formula, pantry).map((e) => e.of?.id) // []
 */
export const besidesOf = ({ outside, unread }: Formula, pantry: Pantry): Eaten[] => [
  ...(outside ?? []).map(({ ingredient: id, says }) => ({
    ...(id !== undefined && pantry.has(id) ? { of: pantry.ingredient(id) } : {}),
    asWritten: says,
  })),
  ...(unread ?? []).map(({ text }) => ({ asWritten: text })),
];
