import { between } from '../formula/base.ts';
import { dryBaseStyle, styles, windowNames, type StyleId, type Window } from '../style/style.ts';
import type { OwnFigures } from '../household/coefficients.ts';

/** A style's window; one that would be upside down is left as it was. */
function windowOf(style: StyleId, own: OwnFigures): Window {
  const [low, high] = windowNames(style);
  const set: Window = [own[low] ?? styles[style].window[0], own[high] ?? styles[style].window[1]];
  return set[0] < set[1] ? set : styles[style].window;
}

/**
 * The window of a style in a household. A bread on its dry base has one window whatever its shape, which
 * is weakly known; between the two it lies between them.
 *
 * @param dryness 0 for a bread on flour, 1 for one on its dry base
 * @param own the household's figures
 * @example windowFor('pan', 0) // [-3, 4]
 */
export function windowFor(style: StyleId, dryness: number, own: OwnFigures = {}): Window {
  const wheat = windowOf(style, own);
  if (dryness === 0) return wheat;
  const dryBase = windowOf(dryBaseStyle, own);
  return [between(wheat[0], dryBase[0], dryness), between(wheat[1], dryBase[1], dryness)];
}

/**
 * How far a level is from a window: negative where too tight, positive where too loose, 0 inside.
 *
 * @example outside(-6.9, [-3, 4]) // -3.9
 */
export const outside = (points: number, [low, high]: Window): number =>
  points < low ? points - low : points > high ? points - high : 0;
