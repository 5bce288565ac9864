import { pantryIn, type Household } from '../household/household.ts';
import type { Reader } from './read.ts';

/**
 * What a household reads with: its measures and figures, its own things, the words and weights that it
 * learned. Where flour comes fresh from a mill, grain by its name is flour.
 *
 * @example readRecipe(text, readerOf(household))
 */
export const readerOf = (household: Household): Reader => {
  const { all, ingredient, has } = pantryIn(household);
  return {
    measures: household.measures,
    figures: household.figures,
    words: household.words,
    each: household.each,
    all,
    mills: household.bags.some(
      (b) =>
        !b.finished &&
        (b.grind?.startsWith('fresh') ||
          (has(b.ingredient) && ingredient(b.ingredient).freshMilled)),
    ),
  };
};
