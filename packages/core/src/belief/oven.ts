import type { Appliance } from '../machine/appliance.ts';
import type { Belief, KnownMeasure } from './belief.ts';
import { measuredOf } from './measured.ts';
import type { Household } from '../household/household.ts';
import { asItIsSet, type OvenTold } from './oven-dial.ts';

/** The ovens of a household, the usual one first. */
export const ovensIn = ({ appliances }: Pick<Household, 'appliances'>): readonly Appliance[] =>
  appliances.filter((a) => a.kind === 'oven');

/** Which oven, by its id, and degrees that it was known to be warmer than it says when that was said. */
export interface OvenChosen {
  readonly oven: string;
  readonly offset?: number;
}

/**
 * The oven that a bread is baked in: the one that was chosen, as it was known then, else the usual one.
 *
 * @returns undefined where the household told of none
 * @example ovenIn({appliances: [range, small]}, {oven: 'small'})?.name // 'The small one'
 */
export function ovenIn(
  household: Pick<Household, 'appliances'>,
  { oven: id, offset }: Partial<OvenChosen> = {},
): Appliance | undefined {
  const ovens = ovensIn(household);
  const chosen = ovens.find((o) => o.id === id);
  return chosen && offset !== undefined ? { ...chosen, offset } : (chosen ?? ovens[0]);
}

/**
 * Minutes in an oven beside the usual ones, as their logarithm: as bakes measured it, at the setting that its offset makes.
 * What is learned is learned of the oven by its own dial; an offset that is told later takes away what it explains.
 *
 * @example ovenPace(undefined, nothingLearned).mean // 0
 */
export function ovenPace(oven: OvenTold | undefined, belief: Belief): KnownMeasure {
  const known = measuredOf(belief, 'oven', { oven });
  return { ...known, mean: asItIsSet(known.mean, oven) };
}
