import { addIns } from './add-ins.ts';
import { drinkers } from './drinkers.ts';
import { flours } from './flours.ts';
import type { Ingredient } from './ingredient.ts';
import { smallThings } from './small.ts';
import { sweetThings } from './sweet.ts';
import { wetThings } from './wet.ts';
import { dairy } from './dairy.ts';
import { extras } from './extras.ts';
import { fruitAndVegetables } from './fruit-and-vegetables.ts';
import { grains } from './grains.ts';
import { moreFlours } from './more-flours.ts';
import { reckonedFrom } from './reckoned-as.ts';
import { withFit } from './with-fit.ts';

/** The tables, as they were before any bread was held against them. */
export const tables: readonly Ingredient[] = [
  ...flours,
  ...moreFlours,
  ...drinkers,
  ...grains,
  ...wetThings,
  ...dairy,
  ...sweetThings,
  ...smallThings,
  ...addIns,
  ...fruitAndVegetables,
  ...extras,
];

/** Everything that Tender Crumb knows by itself, in the order in which a baker would look for it. */
const measured: readonly Ingredient[] = tables.map((of) => withFit(of));
export const catalogue: readonly Ingredient[] = [...measured, ...reckonedFrom(measured)];

const byId: ReadonlyMap<string, Ingredient> = new Map(catalogue.map((i) => [i.id, i]));

/**
 * The ingredient of that id.
 *
 * @throws RangeError for an id that is not in the catalogue: ids from outside are checked with
 *   {@link isIngredientId} at the door.
 * @example ingredient('bread-flour').absorption.value // 0.62
 */
export function ingredient(id: string): Ingredient {
  const found = byId.get(id);
  if (!found) throw new RangeError(`no ingredient "${id}" in the catalogue`);
  return found;
}

/** Whether the catalogue has that id. */
export const isIngredientId = (id: string): boolean => byId.has(id);
