import type { Window } from '../style/style.ts';
import { minded } from '../dough/past-touch.ts';
import { outside } from '../dough/window.ts';
import { normalBelow } from '../quantity/normal.ts';

/** A window that a dough may be meant for, and how likely it is the one. */
export interface Aim {
  readonly window: Window;
  /** How far its ends are in doubt, standard deviation in points. */
  readonly edge: number;
  /** Of all aims together 1. */
  readonly probability: number;
}

/** What is called for where nobody is sure what bread it is. */
export interface CalledFor {
  /** Points to take off the level, negative where it is too tight; never 0. */
  readonly off: number;
  /** Chance that it is called for, 0 to 1. */
  readonly certainty: number;
}

/** So little is not worth a correction of a bread that is guessed, points. Own choice, no source. */
const leastOff = 0.5;

/** The middle one by weight; where two are, the one that asks for less. */
function weightedMedian(of: ReadonlyArray<readonly [value: number, weight: number]>): number {
  const sorted = [...of].sort(([a], [b]) => a - b);
  const half = sorted.reduce((sum, [, weight]) => sum + weight, 0) / 2;
  let sum = 0;
  for (const [i, [value, weight]] of sorted.entries()) {
    sum += weight;
    const next = sorted[i + 1]?.[0];
    if (Math.abs(sum - half) < 1e-9 && next !== undefined)
      return Math.abs(next) < Math.abs(value) ? next : value;
    if (sum > half) return value;
  }
  return 0;
}

/**
 * What a level calls for, by every bread that it may be: so much as the middle one of them asks for, and no surer than
 * it is that the bread is one that asks for at least half of it. Where the bread is known there is one aim.
 *
 * Source: the law of total probability; the cap and the median are own choices.
 *
 * @param points where the dough stands, and `sd`, its standard deviation
 * @returns undefined where nothing is called for, or too little to speak of
 * @example calledFor(18.3, 7.2, [{window: [-16, 0], edge: 4, probability: .55}, {window: [-3, 18], edge: 3, probability: .4}, {window: [-6, 5], edge: 1.5, probability: .05}])!.certainty // .6
 */
export function calledFor(points: number, sd: number, aims: readonly Aim[]): CalledFor | undefined {
  const offs = aims.map(({ window }) => outside(points, window));
  const off = weightedMedian(offs.map((o, i) => [o, aims[i]!.probability] as const));
  if (off === 0 || (aims.length > 1 && Math.abs(off) < leastOff)) return undefined;
  const sense = Math.sign(off);
  let [chance, wanting] = [0, 0];
  aims.forEach(({ window, edge, probability }, i) => {
    // Inside, it would have to stand beyond the end that this is about.
    const beyond = sense > 0 ? points - window[1] : points - window[0];
    chance += probability * normalBelow((sense * minded(points, beyond)) / Math.hypot(sd, edge));
    if (sense * offs[i]! >= Math.abs(off) / 2) wanting += probability;
  });
  return { off, certainty: Math.min(chance, wanting) };
}
