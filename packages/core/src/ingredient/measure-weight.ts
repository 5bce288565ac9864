import { figure, fromMemory, type Figure } from '../figure/figure.ts';
import {
  cupMillilitres,
  eggGrams,
  toMillilitres,
  type Fill,
  type Measures,
  type VolumeUnit,
} from '../quantity/measures.ts';
import type { Ingredient } from './ingredient.ts';
import { ownCup } from './own-cup.ts';

/**
 * Grams per millilitre of an ingredient as this household fills its cups, with its spread: by what it
 * weighed itself where it did, else by the catalogue.
 *
 * @param fill how flour gets into the cup, where not as always
 * @returns undefined where the catalogue knows no weight by volume
 * @example gramsPerMillilitre(ingredient('honey'), defaultMeasures)?.value // 1.433
 */
export function gramsPerMillilitre(
  of: Ingredient,
  measures: Measures,
  fill: Fill = measures.fill,
): Figure | undefined {
  const cup = of.cup?.level ?? of.cup?.[fill] ?? of.cup?.spooned;
  const ml = cupMillilitres.us;
  const weighed = fill === measures.fill ? measures.cups?.[of.id] : undefined;
  if (weighed) {
    return ownCup(weighed, cup && figure(cup.value / ml, 'g per ml', cup.sd / ml, cup.source));
  }
  if (!cup) return undefined;
  return figure(cup.value / ml, 'g per ml', cup.sd / ml, cup.source);
}

/** Whether the household weighed its own cup of this, so that its habit is in the weight already. */
export const isOwnCup = (of: Ingredient, measures: Measures, fill: Fill = measures.fill): boolean =>
  fill === measures.fill && measures.cups?.[of.id] !== undefined;

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
  fill: Fill = measures.fill,
): number | undefined {
  const density = gramsPerMillilitre(of, measures, fill);
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
