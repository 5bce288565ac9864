import { aroundOf } from './around.ts';
import { stagesOf, type Formula } from '../formula/formula.ts';
import { resolve } from '../formula/resolve.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { gramsNumber } from '../quantity/number.ts';

/**
 * A formula as a recipe in the words of schema.org (JSON-LD).
 *
 * @example schemaRecipe(formula)['@type'] // 'Recipe'
 */
export function schemaRecipe(
  formula: Formula,
  pantry: Pantry = cataloguePantry,
): Readonly<Record<string, unknown>> {
  const lines = resolve(formula, pantry);
  const { style, makes, outside, steps } = aroundOf(formula);
  const parts = stagesOf(formula).map((stage) => ({
    stage,
    own: lines.filter((l) => l.stage === stage.id && l.grams > 0),
  }));
  const one = parts.filter((p) => p.own.length > 0).length < 2 && outside.length === 0;
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: formula.name,
    recipeCategory: style,
    ...(makes ? { recipeYield: makes } : {}),
    recipeIngredient: [
      ...parts.flatMap(({ stage, own }) => [
        ...(one || own.length === 0 ? [] : [`${stage.name}:`]),
        ...own.map((l) => `${gramsNumber(l.grams)} g ${l.of.name}`),
      ]),
      ...outside.flatMap(({ heading, says }) => [`${heading}:`, ...says]),
    ],
    ...(steps.length > 0
      ? { recipeInstructions: steps.map((s) => ({ '@type': 'HowToStep', text: s })) }
      : {}),
  };
}
