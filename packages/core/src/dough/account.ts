import type { Ingredient } from '../ingredient/ingredient.ts';
import type { DoughModel } from './dough-model.ts';

/** One line's part in the water account, in grams. */
interface AccountEntry {
  readonly line: string;
  readonly of: Ingredient;
  readonly stage: string;
  readonly brings: number;
  readonly softens: number;
  readonly drinks: number;
  /** What of `drinks` it has not drunk yet at the first touch. */
  readonly later: number;
  /** Grams of water that a gram of it drinks, as believed today, at its moisture. */
  readonly absorption: number;
}

/** What brings water and what drinks it. */
export interface WaterAccount {
  readonly entries: readonly AccountEntry[];
  readonly brings: number;
  readonly softens: number;
  readonly drinks: number;
  /** What of `drinks` is drunk only after a rest. */
  readonly later: number;
}

/**
 * The water account of a dough.
 *
 * @example strong flour 400, water 230, oil 27, sugar 25, milk powder 11, salt 8:
 *   brings 230, softens 15.6, drinks 251.3
 */
export function waterAccount({ forms, softening }: DoughModel): WaterAccount {
  let [brings, softens, drinks, later] = [0, 0, 0, 0];
  const entries = forms.map((form): AccountEntry => {
    const { line } = form;
    const drunk = form.drinks * line.grams;
    const entry = {
      line: line.id,
      of: line.of,
      stage: line.stage,
      brings: form.brings * line.grams,
      softens: softening * form.softens * line.grams,
      drinks: drunk,
      later: form.later * drunk,
      absorption: form.drinks,
    };
    brings += entry.brings;
    softens += entry.softens;
    drinks += entry.drinks;
    later += entry.later;
    return entry;
  });
  return { entries, brings, softens, drinks, later };
}
