import { between } from '../formula/base.ts';
import type { StyleId } from '../formula/style.ts';
import { ownModel } from '../quantity/figure.ts';
import type { OwnFigures } from './coefficients.ts';

/** The stretch of the level that a style of dough wants, in points. */
export type Window = readonly [low: number, high: number];

/** By style, for cereal doughs. Windows overlap by nature: they are where bakers succeed. */
export const windows: Readonly<Record<StyleId, Window>> = {
  bagel: [-10, -5],
  plait: [-6, 1],
  rolls: [-6, 3],
  pan: [-3, 4],
  'wholegrain-pan': [0, 7],
  pizza: [-2, 6],
  flatbread: [-2, 8],
  'hearth-white': [6, 14],
  'hearth-wholegrain': [5, 13],
  'low-carb': [-6, 6],
};

export const windowSource = ownModel;

/** Names under which a household sets the ends of a style's window. */
export const windowNames = (style: StyleId): readonly [string, string] => [
  `window:${style}:low`,
  `window:${style}:high`,
];

/** A style's window; one that would be upside down is left as it was. */
function windowOf(style: StyleId, own: OwnFigures): Window {
  const [low, high] = windowNames(style);
  const set: Window = [own[low] ?? windows[style][0], own[high] ?? windows[style][1]];
  return set[0] < set[1] ? set : windows[style];
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
  const dryBase = windowOf('low-carb', own);
  return [between(wheat[0], dryBase[0], dryness), between(wheat[1], dryBase[1], dryness)];
}

/**
 * How far a level is from a window: negative where too tight, positive where too loose, 0 inside.
 *
 * @example outside(-6.9, [-3, 4]) // -3.9
 */
export const outside = (points: number, [low, high]: Window): number =>
  points < low ? points - low : points > high ? points - high : 0;
