import { glutenSlip } from './gluten.ts';
import { saltSlip } from './salt.ts';
import type { Slip, SlipContext } from './correction.ts';
import { waterSlip } from './water.ts';
import { yeastAmountSlip, yeastFoodSlip, yeastKindSlip } from './yeast.ts';

/** Every kind of correction that does not lean on the level, in a baker's order. */
const makers: ReadonlyArray<(context: SlipContext) => Slip | undefined> = [
  glutenSlip,
  saltSlip,
  yeastKindSlip,
  yeastAmountSlip,
  yeastFoodSlip,
];

/** All corrections that a formula calls for as it stands; those of the level only where it can be told. */
export const slips = (context: SlipContext, levelKnown = true): Slip[] =>
  [...(levelKnown ? [waterSlip] : []), ...makers]
    .map((make) => make(context))
    .filter((slip): slip is Slip => slip !== undefined);
