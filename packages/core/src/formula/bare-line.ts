import type { Ingredient } from '../ingredient/ingredient.ts';
import type { ResolvedLine } from './resolve.ts';

/**
 * A line made of an ingredient, to ask the dough model about it: weighed, in the dough, of no formula.
 *
 * @param grams 0 or more
 * @example bareLine(pantry.ingredient('water'), 30).id // 'water'
 */
export const bareLine = (of: Ingredient, grams: number, id: string = of.id): ResolvedLine => ({
  id,
  ingredient: of.id,
  ...(of.bag ? { bag: of.bag.id } : {}),
  grams,
  measured: 'scale',
  stage: 'bare',
  stageKind: 'dough',
  state: undefined,
  typedGrams: grams,
  corrections: [],
  of,
});
