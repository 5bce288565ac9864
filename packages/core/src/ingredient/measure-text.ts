import { kitchenFraction } from '../quantity/fraction.ts';
import { spoonsInWords } from '../quantity/spoons.ts';
import type { Measures } from '../quantity/measures.ts';
import type { Ingredient } from './ingredient.ts';
import { gramsPerMillilitre, gramsPerPiece } from './measure-weight.ts';

/**
 * Grams of an ingredient as the household would measure them without a scale.
 *
 * @returns undefined where there is nothing to measure it with
 * @example measureText(375, ingredient('bread-flour'), defaultMeasures) // '3 cups'
 */
export function measureText(grams: number, of: Ingredient, measures: Measures): string | undefined {
  if (of.role === 'egg') {
    const piece = gramsPerPiece(of, measures);
    return piece && `${kitchenFraction(grams / piece.value)}`;
  }
  const density = gramsPerMillilitre(of, measures);
  return density && spoonsInWords(grams / density.value, measures, 'short');
}
