import type { Figure } from '../figure/figure.ts';
import { fitted } from './fitted.ts';
import type { Ingredient } from './ingredient.ts';

const places: ReadonlyMap<string, number> = new Map(fitted.keys.map((key, i) => [key, i]));

/** What the breads made of a figure of the tables: moved, and as unsure as they left it. */
export function fittedFigure(figure: Figure, key: string): Figure {
  const at = places.get(key);
  if (at === undefined) return figure;
  return {
    ...figure,
    value: Math.max(0, figure.value + fitted.shift[at]!),
    sd: Math.min(figure.sd, Math.sqrt(fitted.covariance[at]![at]!)),
  };
}

/**
 * A thing of the tables with what customary breads say of its absorption.
 *
 * @param key of its absorption, where that is not of its id: of a state that it is in
 */
export const withFit = (of: Ingredient, key = `thirst:${of.id}`): Ingredient =>
  places.has(key)
    ? {
        ...of,
        absorption: fittedFigure(of.absorption, key),
        ...(of.dryBaseAbsorption
          ? { dryBaseAbsorption: fittedFigure(of.dryBaseAbsorption, key) }
          : {}),
      }
    : of;

/** How far a figure was moved from its table by the breads. */
export const shiftOf = (key: string): number => fitted.shift[places.get(key) ?? -1] ?? 0;
