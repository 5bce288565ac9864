import { styles, type StyleId } from '../style/style.ts';
import type { Household } from './household.ts';
import type { Coefficients } from '../coefficients/coefficients.ts';

/** How much salt a household wants in a bread, % of flour. */
export interface SaltWord {
  /** What it is brought to. */
  readonly usual: number;
  /** Less asks for more, more asks for less. */
  readonly least: number;
  readonly most: number;
}

/**
 * What a household says of salt: asked by corrections, the search for a bread, and whoever looks for a cause.
 *
 * @example saltWord('pan', kitchenOf(defaultHousehold), {lowSodium: true}).usual // 0.9
 */
export function saltWord(
  style: StyleId,
  { coefficients }: { readonly coefficients: Coefficients },
  { lowSodium = false }: Partial<Pick<Household, 'lowSodium'>>,
): SaltWord {
  const { saltLeast, saltUsualLow, saltMost, saltLow } = coefficients;
  const [least, most] = styles[style].salt ?? [saltLeast.value, saltMost.value];
  return lowSodium
    ? // Who keeps to little salt is asked for more nowhere.
      { usual: saltLow.value, least: 0, most }
    : { usual: saltUsualLow.value, least, most };
}
