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

/**
 * The window of a style in a household. A bread without cereal flour has one window whatever its
 * shape; it is weakly known.
 *
 * @param own the household's figures; a window that would be upside down is left as it was
 * @example windowFor('pan', false) // [-3, 4]
 */
export function windowFor(style: StyleId, dryBase: boolean, own: OwnFigures = {}): Window {
  const of = dryBase ? 'low-carb' : style;
  const [low, high] = windowNames(of);
  const set: Window = [own[low] ?? windows[of][0], own[high] ?? windows[of][1]];
  return set[0] < set[1] ? set : windows[of];
}

/**
 * How far a level is from a window: negative where too tight, positive where too loose, 0 inside.
 *
 * @example outside(-6.9, [-3, 4]) // -3.9
 */
export const outside = (points: number, [low, high]: Window): number =>
  points < low ? points - low : points > high ? points - high : 0;
