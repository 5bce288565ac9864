import { between } from '../formula/base.ts';
import type { OwnValues } from '../figure/settable.ts';
import { styleIn } from '../style/style-figures.ts';
import { dryBaseStyle, styles, type StyleId, type Window } from '../style/style.ts';

/**
 * The window of a style in a household. A bread on its dry base has one window whatever its shape, which
 * is weakly known; between the two it lies between them.
 *
 * @param dryness 0 for a bread on flour, 1 for one on its dry base
 * @param own the household's figures
 * @example windowFor('pan', 0) // [-3, 5]
 */
export function windowFor(style: StyleId, dryness: number, own: OwnValues = {}): Window {
  const wheat = styleIn(style, own).window;
  if (dryness === 0) return wheat;
  const dryBase = styleIn(dryBaseStyle, own).window;
  return [between(wheat[0], dryBase[0], dryness), between(wheat[1], dryBase[1], dryness)];
}

/**
 * How far an end of that window is in doubt, standard deviation in points.
 *
 * @example edgeFor('pan', 0) // 1.5
 * @example edgeFor('pan', 1) // 3
 */
export const edgeFor = (style: StyleId, dryness: number): number =>
  between(styles[style].edge, styles[dryBaseStyle].edge, dryness);

/** The style whose words and customs hold: a bread on its dry base is a low-carb one, whatever its shape. */
export const judgedAs = (style: StyleId, { dryBase }: { readonly dryBase: boolean }): StyleId =>
  dryBase ? dryBaseStyle : style;

/**
 * How far a level is from a window: negative where too tight, positive where too loose, 0 inside.
 *
 * @example outside(-6.9, [-3, 4]) // -3.9
 */
export const outside = (points: number, [low, high]: Window): number =>
  points < low ? points - low : points > high ? points - high : 0;
