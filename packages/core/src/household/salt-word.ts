import { styles, type StyleId } from '../style/style.ts';
import type { Household } from './household.ts';
import type { Kitchen } from './kitchen.ts';

/** How much salt a household wants in a bread, % of flour. */
export interface SaltWord {
  /** What it is brought to. */
  readonly usual: number;
  /** Less asks for more, more asks for less. */
  readonly least: number;
  readonly most: number;
}

/** A household that keeps to little salt asks for more nowhere, and a bread may have this share of its usual. Own choice, no source. */
const littleFrom = 2 / 3;

/**
 * What a household says of salt: asked by corrections, the search for a bread, and whoever looks for a cause.
 *
 * @example saltWord('pan', kitchenOf(defaultHousehold), {lowSodium: true}).usual // 0.9
 */
export function saltWord(
  style: StyleId,
  { coefficients }: Pick<Kitchen, 'coefficients'>,
  { lowSodium = false }: Partial<Pick<Household, 'lowSodium'>>,
): SaltWord {
  const { saltLeast, saltUsualLow, saltMost, saltLow } = coefficients;
  const [least, most] = styles[style].salt ?? [saltLeast.value, saltMost.value];
  return lowSodium
    ? { usual: saltLow.value, least: Math.min(least, saltLow.value * littleFrom), most }
    : { usual: saltUsualLow.value, least, most };
}
