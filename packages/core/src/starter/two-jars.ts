import type { Feeding } from './feeding.ts';

/** Warmths that differ by less tell little of a temper, °C. Own choice, no source. */
export const leastApart = 5;

/** Two jars that were fed alike in one moment: one in the warm, one in the cool. */
export interface TwoJars {
  readonly warm: Feeding;
  readonly cool: Feeding;
}

/**
 * The latest pair of jars that a starter was fed in to learn its temper.
 *
 * @param feedings of one starter, in any order
 * @returns undefined where there is none
 * @example twoJarsIn([{id: 'a', at, seed: 20, flour: 40, water: 40, celsius: 28}, {id: 'b', at, seed: 20, flour: 40, water: 40, celsius: 20}])?.warm.id // 'a'
 */
export function twoJarsIn(feedings: readonly Feeding[]): TwoJars | undefined {
  const told = feedings.filter((f) => f.celsius !== undefined);
  const pairs = told.flatMap((one) =>
    told
      .filter((other) => other.at === one.at && one.celsius! - other.celsius! >= leastApart)
      .map((other) => ({ warm: one, cool: other })),
  );
  return pairs.sort((a, b) => (a.warm.at < b.warm.at ? 1 : -1))[0];
}
