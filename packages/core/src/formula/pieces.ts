import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import type { Measures } from '../quantity/measures.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import type { Formula } from './formula.ts';
import { resolve } from './resolve.ts';
import { scaleTo } from './scale.ts';

/** The most pieces that a formula is divided into. */
export const mostPieces = 1000;

/**
 * Raw weight of one piece, grams: the dough, corrections included, by the number of pieces.
 *
 * @returns undefined where it is not divided, or there is no dough
 * @example pieceGrams({...formula, pieces: 9})
 */
export function pieceGrams(formula: Formula, pantry: Pantry = cataloguePantry): number | undefined {
  const dough = sumGrams(resolve(formula, pantry));
  return formula.pieces && dough > 0 ? dough / formula.pieces : undefined;
}

/** Says how many pieces the dough is divided into; it stays as heavy as it is. */
export function setPieces(formula: Formula, pieces: number | undefined): Formula {
  const { pieces: before, ...rest } = formula;
  void before;
  return pieces === undefined ? rest : { ...rest, pieces };
}

/**
 * Scales a dough so that its pieces weigh so much each.
 *
 * @param grams raw weight of one, above 0
 * @returns undefined where it cannot be scaled to that, as {@link scaleTo}
 * @example scaleToPiece({...formula, pieces: 9}, 76) // a dough of 684 g
 */
export const scaleToPiece = (
  formula: Formula,
  grams: number,
  pantry: Pantry = cataloguePantry,
  measures?: Measures,
): Formula | undefined =>
  scaleTo(formula, 'dough', grams * (formula.pieces ?? 1), pantry, measures);
