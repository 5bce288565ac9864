import { glutenSlip } from './gluten.ts';
import { saltSlip } from './salt.ts';
import type { Slip, SlipContext } from './slip.ts';
import { waterSlip } from './water.ts';
import { yeastAmountSlip, yeastFoodSlip, yeastKindSlip } from './yeast.ts';

/** Every kind of correction, in the order in which a baker deals with them. */
const makers: ReadonlyArray<(context: SlipContext) => Slip | undefined> = [
  waterSlip,
  glutenSlip,
  saltSlip,
  yeastKindSlip,
  yeastAmountSlip,
  yeastFoodSlip,
];

/** All corrections that a formula calls for as it stands. */
export const slips = (context: SlipContext): Slip[] =>
  makers.map((make) => make(context)).filter((slip): slip is Slip => slip !== undefined);
