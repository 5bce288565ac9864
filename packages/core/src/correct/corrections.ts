import { glutenCorrection } from './gluten.ts';
import { saltCorrection } from './salt.ts';
import type { Correction, CorrectionContext } from './correction.ts';
import { waterCorrection } from './water.ts';
import { yeastAmountCorrection, yeastFoodCorrection, yeastKindCorrection } from './yeast.ts';

/** Every kind of correction that does not lean on the level, in a baker's order. */
const makers: ReadonlyArray<(context: CorrectionContext) => Correction | undefined> = [
  glutenCorrection,
  saltCorrection,
  yeastKindCorrection,
  yeastAmountCorrection,
  yeastFoodCorrection,
];

/** All corrections that a formula calls for as it stands; those of the level only where it can be told. */
export const corrections = (context: CorrectionContext, levelKnown = true): Correction[] =>
  [...(levelKnown ? [waterCorrection] : []), ...makers]
    .map((make) => make(context))
    .filter((correction): correction is Correction => correction !== undefined);
