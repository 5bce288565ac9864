import { departureKey, doubtOf, placeOf, without, type Belief } from '../belief/belief.ts';
import { wanders } from '../belief/drift.ts';
import type { Touch } from './bowl.ts';

/** What a flour is in doubt by where somebody was asked of its sack: unanswered, and where it is the old one, points. Own choice, no source. */
const unanswered = 3;
const oldOne = 1.5;

/**
 * The flour of a dough whose sack would be noticed: the one that moves it most.
 *
 * @returns its key in the book; undefined where no flour moves it
 * @example mainFlour(touch) // 'thirst:bread-flour'
 */
export function mainFlour({
  slopes,
  priors,
}: Pick<Touch, 'slopes' | 'priors'>): string | undefined {
  const moves = ([key, slope]: readonly [string, number]) => Math.abs(slope * priors.get(key)!);
  return [...slopes].filter(([key]) => wanders(key)).sort((a, b) => moves(b) - moves(a))[0]?.[0];
}

/**
 * A belief in which a flour is as if nobody had baked with it: of another sack the old one says nothing.
 *
 * @example freshSack(belief, 'thirst:bread-flour')
 */
export const freshSack = (belief: Belief, key: string): Belief => without(belief, new Set([key]));

const widened = (belief: Belief, key: string, variance: number): Belief => {
  const at = placeOf(belief, key);
  if (at === undefined) return belief;
  const covariance = belief.covariance.map((row, i) =>
    i === at ? row.map((k, j) => (j === at ? k + variance : k)) : row,
  );
  return { ...belief, covariance };
};

/**
 * A belief in which a flour is in doubt again, as its doughs stood off and nobody said that its sack is a new one.
 *
 * @param answer none where nobody answered
 * @param bread key of how that bread departs
 * @param slope points by which the dough moves for one unit of the flour
 */
export function doubted(
  belief: Belief,
  key: string,
  slope: number,
  answer: 'neither' | undefined,
  bread: string = departureKey,
): Belief {
  if (!(doubtOf(belief, key, 0) > 0)) return belief;
  if (answer === undefined) return widened(belief, key, (unanswered / slope) ** 2);
  return widened(widened(belief, key, (oldOne / slope) ** 2), bread, oldOne ** 2);
}
