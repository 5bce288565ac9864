import { fitted } from '../ingredient/fitted.ts';

/**
 * What the book has taught so far: how far each thirst, and the household's way of filling a cup,
 * departs from the catalogue. A joint Gaussian; a key that is not in it is still as the catalogue
 * has it.
 */
export interface Belief {
  readonly keys: readonly string[];
  /** Departures: g per g for a thirst, a share for the cup. */
  readonly mean: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** Bakes that each key has been seen in. */
  readonly bakes: Readonly<Record<string, number>>;
  /** Day of the last bake that taught, ISO date; absent before the first. See drift.ts. */
  readonly day?: string;
  /** What noted rises taught of the pace of each leaven, by its key: a normal of its logarithm. */
  readonly paces?: Readonly<Record<string, KnownPace>>;
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
 * thirsts.
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

/** Key of a thirst: of the bag where there is one, else of the household's usual bag of that kind. */
export const thirstKey = (line: { ingredient: string; bag?: string }): string =>
  line.bag ? `thirst:bag:${line.bag}` : `thirst:${line.ingredient}`;

/** Key of the household's habit of filling a cup with flour. */
export const fillKey = 'fill';

/** Key of how the bread that is looked at departs from the model. */
export const departureKey = 'departure';

/** Key of how this household's touch differs from the scale's words. */
export const touchKey = 'touch';

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
  return at === undefined ? 0 : belief.mean[at]!;
}

/** Standard deviation left in a key, or the catalogue's where nothing was learned. */
export function doubtOf(belief: Belief, key: string, priorSd: number): number {
  const at = placeOf(belief, key);
  return at === undefined ? priorSd : Math.sqrt(belief.covariance[at]![at]!);
}
