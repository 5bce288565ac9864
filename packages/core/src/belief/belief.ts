import { fitted } from '../ingredient/fitted.ts';
import type { SaidBefore } from './certainty-earned.ts';
import { usualBaker } from '../household/baker.ts';

/**
 * What the book has taught so far: how far each absorption, and the household's way of filling a cup,
 * departs from the catalogue. A joint Gaussian; a key that is not in it is still as the catalogue
 * has it.
 */
export interface Belief {
  readonly keys: readonly string[];
  /** Departures: g per g for an absorption, a share for the cup. */
  readonly mean: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** Bakes that each key has been seen in. */
  readonly bakes: Readonly<Record<string, number>>;
  /** Day of the last bake that taught, ISO date; absent before the first. See drift.ts. */
  readonly day?: string;
  /** What noted rises taught of the pace of each leaven, by its key: a normal of its logarithm. */
  readonly paces?: Readonly<Record<string, KnownPace>>;
  /**
   * What was learned of bags that are used up and, among very many breads, of those that are seldom baked: kept to be
   * read, and to begin from if one comes again. What is among the keys is learned again: here is how it was left.
   */
  readonly rested?: Readonly<Record<string, { readonly mean: number; readonly sd: number }>>;
  /** What bakes measured apart from their doughs; see measured.ts. */
  readonly measured?: Readonly<Record<string, KnownMeasure>>;
  /** How far the doughs of each flour stood from their forecasts lately; see sack-watch.ts. */
  readonly watch?: Readonly<Record<string, SackWatch>>;
  /** How unsteady each baker's touch is, as weights of the rows of the table of hands; see hands.ts. */
  readonly hands?: Readonly<Record<string, readonly number[]>>;
  /** How often corrections of the level were felt to be right; see certainty-earned.ts. */
  readonly said?: SaidBefore;
  /** How loaves of each bread came out against where they were felt, by the key of its departure. */
  readonly windows?: Readonly<Record<string, readonly WindowLook[]>>;
}

/** What is kept in mind of a flour, to notice another sack of it. */
export interface SackWatch {
  /** Deviations of its last dough from the forecast. */
  readonly last: number;
  /** Running sums of what is above and below the forecast, and over how many doughs. */
  readonly above: { readonly sum: number; readonly doughs: number };
  readonly below: { readonly sum: number; readonly doughs: number };
  /** For so many doughs more nobody is asked again. */
  readonly quiet: number;
}

/** A normal of something measured, and how many bakes stand behind it. */
export interface KnownMeasure {
  readonly mean: number;
  readonly sd: number;
  readonly bakes: number;
}

/** How a loaf was judged, and where its dough was felt last. */
export interface WindowLook {
  readonly points: number;
  /** Place among the judgements, from 1. */
  readonly stars: number;
  /** What the loaf was said to be, where anybody said. */
  readonly side?: 'tight' | 'loose';
}

/** What is known of a leaven's pace: a normal of its logarithm, and how many noted rises stand behind it. */
export interface KnownPace {
  readonly mean: number;
  readonly sd: number;
  readonly rises: number;
}

/** Key of how far sugars and fats soften. */
export const softeningKey = 'softening';

/**
 * What a household believes before its first bake: the tables, as customary breads have moved them, and
 * which of their figures those breads tie together. Formulas that work say more of sums than of single
 * absorptions.
 */
export const nothingLearned: Belief = {
  keys: fitted.keys,
  mean: fitted.keys.map(() => 0),
  covariance: fitted.keys.map((_, i) =>
    fitted.keys.map((__, j) => fitted.covariance[Math.max(i, j)]![Math.min(i, j)]!),
  ),
  bakes: {},
};

/** A belief of which nothing is tied to anything: every figure as its table has it. */
export const blankBelief: Belief = { keys: [], mean: [], covariance: [], bakes: {} };

/** Key of an absorption: of the bag where there is one, else of the household's usual bag of that kind. */
export const absorptionKey = (line: { ingredient: string; bag?: string }): string =>
  line.bag ? `thirst:bag:${line.bag}` : `thirst:${line.ingredient}`;

/** Key of the usual baker's habit of filling a cup with flour. */
export const fillKey = 'fill';

/** What keys of other bakers' habits begin with. */
export const fillByKey = 'fillBy';

/**
 * Key of somebody's habit of filling a cup with flour.
 *
 * @example fillKeyBy(undefined) // 'fill'
 * @example fillKeyBy('ilse') // 'fillBy:ilse'
 */
export const fillKeyBy = (baker: string | undefined): string =>
  baker === undefined || baker === usualBaker ? fillKey : `${fillByKey}:${baker}`;

/** Key of the same for one flour, beside the habit. */
export const fillKeyOf = (ingredient: string): string => `${fillKey}:${ingredient}`;

/** Key of how far the flour of this house follows the air beyond what the equation says. */
export const dampKey = 'damp';

/** Key of how the bread that is looked at departs from the model. */
export const departureKey = 'departure';

/** Key of how the usual baker's touch differs from the scale's words. */
export const touchKey = 'touch';

/** What keys of other bakers' touches begin with. */
export const touchByKey = 'touchBy';

/**
 * Key of how somebody's touch differs from the scale's words.
 *
 * @example touchKeyBy(undefined) // 'touch'
 * @example touchKeyBy('ilse') // 'touchBy:ilse'
 */
export const touchKeyBy = (baker: string | undefined): string =>
  baker === undefined || baker === usualBaker ? touchKey : `${touchByKey}:${baker}`;

const places = new WeakMap<readonly string[], ReadonlyMap<string, number>>();

/** Place of a key in a belief; undefined where nothing was learned of it. */
export function placeOf({ keys }: Belief, key: string): number | undefined {
  let known = places.get(keys);
  if (!known) {
    known = new Map(keys.map((k, i) => [k, i]));
    places.set(keys, known);
  }
  return known.get(key);
}

/** Mean departure of a key; 0 where nothing was learned. */
export function departure(belief: Belief, key: string): number {
  const at = placeOf(belief, key);
  return at === undefined ? (belief.rested?.[key]?.mean ?? 0) : belief.mean[at]!;
}

/** Standard deviation left in a key, or the catalogue's where nothing was learned. */
export function doubtOf(belief: Belief, key: string, priorSd: number): number {
  const at = placeOf(belief, key);
  return at === undefined
    ? (belief.rested?.[key]?.sd ?? priorSd)
    : Math.sqrt(belief.covariance[at]![at]!);
}

/**
 * How far a forecast that leans on a belief is in doubt by it: gᵀΣg, with the catalogue's spread for what is not in it.
 *
 * @param slopes points for one unit of each key
 * @param priors catalogue's standard deviation of each key
 * @returns variance, points²
 * @example varianceOf(blankBelief, new Map([['a', 2]]), new Map([['a', 3]])) // 36
 */
export function varianceOf(
  belief: Belief,
  slopes: ReadonlyMap<string, number>,
  priors: ReadonlyMap<string, number>,
): number {
  let variance = 0;
  const seen: Array<readonly [number, number]> = [];
  for (const [key, slope] of slopes) {
    const at = placeOf(belief, key);
    if (at === undefined) variance += (slope * doubtOf(belief, key, priors.get(key)!)) ** 2;
    else seen.push([at, slope]);
  }
  for (const [i, a] of seen)
    for (const [j, b] of seen) variance += a * b * belief.covariance[i]![j]!;
  return variance;
}

/** A belief without some of its keys: their rows and columns left out. */
export function without(belief: Belief, gone: ReadonlySet<string>): Belief {
  const kept = belief.keys.flatMap((key, i) => (gone.has(key) ? [] : [i]));
  if (kept.length === belief.keys.length) return belief;
  return {
    ...belief,
    keys: kept.map((i) => belief.keys[i]!),
    mean: kept.map((i) => belief.mean[i]!),
    covariance: kept.map((i) => kept.map((j) => belief.covariance[i]![j]!)),
  };
}

/**
 * A belief in which some figures rest: what is known of each is kept, what it was tied to is not. Bags that are used up
 * come in no dough any more, and each of them would cost every later bake its row and its column.
 *
 * @example rest(belief, new Set(['thirst:bag:blue'])).rested['thirst:bag:blue'].mean // as it was
 */
export function rest(belief: Belief, keys: ReadonlySet<string>): Belief {
  const resting = [...keys].filter((key) => placeOf(belief, key) !== undefined);
  if (resting.length === 0) return belief;
  return {
    ...without(belief, new Set(resting)),
    rested: {
      ...belief.rested,
      ...Object.fromEntries(
        resting.map((key) => [key, { mean: departure(belief, key), sd: doubtOf(belief, key, 0) }]),
      ),
    },
  };
}

/**
 * A belief in which a figure that rests is learned again, from where it was left and tied to nothing.
 *
 * @example wake({...blankBelief, rested: {touch: {mean: 1, sd: 2}}}, 'touch').keys[0] // 'touch'
 */
export function wake(belief: Belief, key: string): Belief {
  const left = belief.rested?.[key];
  if (!left || placeOf(belief, key) !== undefined) return belief;
  return {
    ...belief,
    keys: [...belief.keys, key],
    mean: [...belief.mean, left.mean],
    covariance: [
      ...belief.covariance.map((row) => [...row, 0]),
      [...belief.keys.map(() => 0), left.sd ** 2],
    ],
  };
}
