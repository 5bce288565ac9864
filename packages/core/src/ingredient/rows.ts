import { commonPractice, figure, fromMemory, ownModel, type Figure } from '../figure/figure.ts';
import type { Composition } from './ingredient.ts';

/** Short hands for the catalogue's tables. */

/** Source of a row of USDA SR Legacy, by its NDB number. */
export const usda = (ndb: string): string => fromMemory(`USDA SR Legacy ${ndb}`);

/** Composition of a row: water, protein, fat, carbohydrate incl. fibre, fibre, sugars, sodium mg. */
export const composition = (
  source: string,
  [water, protein, fat, carbohydrate, fibre, sugars, sodium]: readonly [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ],
  proteinSd = 0,
): Composition => ({
  water,
  protein,
  fat,
  carbohydrate,
  fibre,
  sugars,
  sodium,
  proteinSd,
  source,
});

/** Absorption in grams of water per gram at 14 % moisture. */
export const absorption = (value: number, sd: number, source = ownModel): Figure =>
  figure(value, 'g water per g', sd, source);

/** Things that drink nothing: salt, yeast, liquids and their solids. */
export const drinksNothing = absorption(0, 0);

/** Grams in a US cup. */
export const perCup = (value: number, sd: number, source = commonPractice): Figure =>
  figure(value, 'g per US cup', sd, source);

/** Grams in one. */
export const perPiece = (value: number, sd: number, source = commonPractice): Figure =>
  figure(value, 'g each', sd, source);
