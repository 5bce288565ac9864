import { figure, fromMemory, type Figure } from '../quantity/figure.ts';
import {
  cupMillilitres,
  eggGrams,
  toMillilitres,
  type Measures,
  type VolumeUnit,
} from '../quantity/measures.ts';
import type { Ingredient } from './ingredient.ts';

/**
 * Grams per millilitre of an ingredient as this household fills its cups, with its spread.
 *
 * @returns undefined where the catalogue knows no weight by volume
 * @example gramsPerMillilitre(ingredient('honey'), defaultMeasures)?.value // 1.433
 */
export function gramsPerMillilitre(of: Ingredient, measures: Measures): Figure | undefined {
  const cup = of.cup?.level ?? of.cup?.[measures.fill] ?? of.cup?.spooned;
  if (!cup) return undefined;
  const ml = cupMillilitres.us;
  return figure(cup.value / ml, 'g per ml', cup.sd / ml, cup.source);
}

/**
 * Grams of a kitchen measure of an ingredient.
 *
 * @returns undefined where the catalogue knows no weight by volume
 * @example gramsByVolume(3, 'cup', ingredient('bread-flour'), defaultMeasures) // 375
 */
export function gramsByVolume(
  amount: number,
  unit: VolumeUnit,
  of: Ingredient,
  measures: Measures,
): number | undefined {
  const density = gramsPerMillilitre(of, measures);
  return density && toMillilitres(amount, unit, measures) * density.value;
}

/** Spread of one egg about its class, as a share: from the 7 g width of a class, from memory. */
const eggSpread = 0.06;

/**
 * Grams in one piece: an egg of the household's size, a packet of dried yeast, a yolk.
 *
 * @returns undefined for things that are not counted
 * @example gramsPerPiece(ingredient('egg'), defaultMeasures)?.value // 50
 */
export function gramsPerPiece(of: Ingredient, measures: Measures): Figure | undefined {
  if (of.id !== 'egg') return of.piece;
  const grams = eggGrams[measures.egg];
  return figure(grams, 'g each', grams * eggSpread, fromMemory('egg size classes'));
}
