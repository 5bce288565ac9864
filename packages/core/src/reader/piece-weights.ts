import { commonPractice, figure, type Figure } from '../figure/figure.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Role } from '../ingredient/role.ts';

/** What things are counted in: packets, cubes, tins, handfuls. */
export const pieceUnits = [
  'packet',
  'stick',
  'cube',
  'cake',
  'clove',
  'bunch',
  'handful',
  'sprig',
  'knob',
  'splash',
  'tin',
  'jar',
  'slice',
  'head',
] as const;
export type PieceUnit = (typeof pieceUnits)[number];

interface PieceWeight {
  readonly unit: PieceUnit;
  readonly roles?: readonly Role[];
  readonly ids?: readonly string[];
  readonly grams: Figure;
}

const each = (grams: number, sd: number): Figure => figure(grams, 'g each', sd, commonPractice);

/** What one of a unit weighs of a thing, the first row that speaks of it. Common practice, no source. */
const weights: readonly PieceWeight[] = [
  { unit: 'cube', ids: ['fresh-yeast'], grams: each(42, 2) },
  { unit: 'cake', ids: ['fresh-yeast'], grams: each(17, 5) },
  { unit: 'packet', ids: ['fresh-yeast'], grams: each(42, 10) },
  { unit: 'packet', ids: ['baking-powder'], grams: each(15, 2) },
  { unit: 'packet', ids: ['vanilla-sugar'], grams: each(8, 1) },
  { unit: 'packet', ids: ['cream-cheese'], grams: each(227, 30) },
  { unit: 'stick', roles: ['fat'], grams: each(113.4, 1) },
  { unit: 'clove', ids: ['garlic'], grams: each(4, 1) },
  { unit: 'head', ids: ['garlic'], grams: each(45, 10) },
  { unit: 'bunch', ids: ['fresh-herbs', 'spice'], grams: each(25, 10) },
  { unit: 'bunch', ids: ['chilli'], grams: each(100, 40) },
  { unit: 'handful', roles: ['addIn', 'grain'], grams: each(30, 12) },
  { unit: 'sprig', ids: ['fresh-herbs', 'spice'], grams: each(1, 0.5) },
  { unit: 'knob', roles: ['fat'], grams: each(15, 6) },
  { unit: 'splash', roles: ['liquid', 'fat', 'sugar'], grams: each(10, 5) },
  { unit: 'tin', ids: ['pumpkin', 'coconut-milk', 'beans'], grams: each(400, 20) },
  { unit: 'tin', ids: ['milk-evaporated', 'milk-condensed'], grams: each(397, 20) },
  { unit: 'tin', ids: ['beer', 'wine'], grams: each(330, 30) },
  { unit: 'jar', ids: ['olives', 'dried-tomato'], grams: each(180, 60) },
  { unit: 'slice', ids: ['breadcrumbs'], grams: each(35, 8) },
];

/**
 * What one of a unit weighs of an ingredient.
 *
 * @returns undefined where that is not known
 * @example pieceWeight('cube', ingredient('fresh-yeast'))?.value // 42
 */
export const pieceWeight = (unit: PieceUnit, of: Ingredient): Figure | undefined =>
  weights.find((w) => w.unit === unit && (w.ids?.includes(of.id) || w.roles?.includes(of.role)))
    ?.grams;
