import type { Ingredient } from '../ingredient/ingredient.ts';
import { matchIngredient, type Vocabulary } from './match.ts';

/** Two things do the same in a dough where what they drink differs by no more, grams of water a gram. Own choice. */
const sameAbsorption = 0.05;
/** … and their own water by no more, in 100 g: water and milk do the same, sugar and honey nearly. Own choice. */
const sameWater = 20;

/** Things of which a recipe leaves the choice, the first of them first. */
export interface Choice {
  readonly of: readonly Ingredient[];
  /** Whichever is taken, the dough is about the same. */
  readonly alike: boolean;
}

/**
 * The things that a name leaves the choice of: "butter or oil", "plain/all purpose flour", "plain or bread flour".
 *
 * @returns undefined where it leaves none, or one of them is not known
 * @example choiceIn('butter or oil')?.of.map((i) => i.id) // ['butter', 'oil']
 */
export function choiceIn(what: string, words?: Vocabulary): Choice | undefined {
  const parts = what.split(/\s+or\s+|\s*\/\s*|\s+(?:oder|ou)\s+/i).filter((p) => p.trim() !== '');
  if (parts.length < 2 || parts.length > 4) return undefined;
  const noun = /\S+$/.exec(parts.at(-1)!)![0];
  // "Plain or bread flour": what both are stands behind the last.
  const of = parts.map(
    (part) => matchIngredient(part, words) ?? matchIngredient(`${part} ${noun}`, words),
  );
  if (!of.every((i) => i !== undefined)) return undefined;
  const [first, ...others] = of as [Ingredient, ...Ingredient[]];
  const alike = others.every(
    (other) =>
      other.role === first.role &&
      Math.abs(other.absorption.value - first.absorption.value) <= sameAbsorption &&
      Math.abs(other.composition.water - first.composition.water) <= sameWater,
  );
  return { of: [first, ...others], alike };
}
