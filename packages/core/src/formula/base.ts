import { figure, ownModel, type Figure } from '../figure/figure.ts';
import { roles } from '../ingredient/role.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import type { ResolvedLine } from './resolve.ts';

/**
 * Flour's share of flour, gluten, bran, meals and fibre: below the first a bread stands on all of them
 * together (its dry base), above the second on its flour alone, and smoothly in between. A spoon of
 * flour in a low-carb dough does not make it a wheat bread.
 */
export const baseShares = {
  dry: figure(0.4, 'share of flour', 0.05, ownModel),
  flour: figure(0.7, 'share of flour', 0.05, ownModel),
} as const;

/** What the 100 % of a dough is. */
export interface Base {
  readonly grams: number;
  /** 0 where flour alone is the 100 %, 1 where gluten, bran, meals and fibre are with it. */
  readonly dryness: number;
  /** Change of the dryness for a gram more of flour, and of dry stuff. */
  readonly perFlour: number;
  readonly perDry: number;
  /** Grams of gluten, bran, meals and fibre. */
  readonly dryGrams: number;
}

/** Whether a line counts as cereal flour, by the catalogue or by the baker's word. */
export const isFlour = (line: ResolvedLine): boolean =>
  line.countsAsFlour ?? roles[line.of.role].flour;

/** Whether a line is of what a bread without cereal flour stands on. */
export const isDryStuff = (line: ResolvedLine): boolean =>
  !isFlour(line) && roles[line.of.role].dryBase;

/** A step from 0 to 1 without a corner, and its slope. Source: the cubic 3t² − 2t³. */
function smoothStep(t: number): { value: number; slope: number } {
  if (t <= 0) return { value: 0, slope: 0 };
  if (t >= 1) return { value: 1, slope: 0 };
  return { value: t * t * (3 - 2 * t), slope: 6 * t * (1 - t) };
}

/**
 * How far a bread stands on its dry base, and how that changes with flour's share.
 *
 * @param flour grams of it, with `dry` grams of gluten, bran, meals and fibre beside it
 * @example drynessOf(55, 45).value // 0.5
 */
export function drynessOf(flour: number, dry: number): { value: number; perShare: number } {
  if (!(dry > 0)) return { value: 0, perShare: 0 };
  const [from, to] = [baseShares.dry.value, baseShares.flour.value];
  const { value, slope } = smoothStep((flour / (flour + dry) - from) / (to - from));
  return { value: 1 - value, perShare: -slope / (to - from) };
}

/**
 * What the 100 % of a dough is made of.
 *
 * @example baseOf(lines of gluten 165, oat fibre 50, linseed meal 80) // {grams: 295, dryness: 1, …}
 */
export function baseOf(lines: readonly ResolvedLine[]): Base {
  let [flour, dry] = [0, 0];
  for (const line of lines) {
    if (isFlour(line)) flour += line.grams;
    else if (isDryStuff(line)) dry += line.grams;
  }
  const { value, perShare } = drynessOf(flour, dry);
  const square = (flour + dry) ** 2 || 1;
  return {
    grams: flour + value * dry,
    dryness: value,
    perFlour: (perShare * dry) / square,
    perDry: (-perShare * flour) / square,
    dryGrams: dry,
  };
}

/** What of a gram of a line is part of the 100 %. */
export const partOfBase = (line: ResolvedLine, { dryness }: Pick<Base, 'dryness'>): number =>
  isFlour(line) ? 1 : isDryStuff(line) ? dryness : 0;

/**
 * Between what holds for a wheat bread and what holds for one on a dry base.
 *
 * @example between(1.5, 1, 0.5) // 1.25
 */
export const between = (wheat: number, dryBase: number, dryness: number): number =>
  wheat + dryness * (dryBase - wheat);

/** The tables' absorption of a thing in a dough: in a dry base the same goods hold less. */
export function tableAbsorption(of: Ingredient, { dryness }: Pick<Base, 'dryness'>): Figure {
  const { absorption, dryBaseAbsorption } = of;
  if (!dryBaseAbsorption || dryness === 0) return absorption;
  if (dryness === 1) return dryBaseAbsorption;
  return {
    ...absorption,
    value: between(absorption.value, dryBaseAbsorption.value, dryness),
    sd: between(absorption.sd, dryBaseAbsorption.sd, dryness),
  };
}
