import { slipOf } from './slip.ts';
import { departure, doubtOf, placeOf, type Belief } from '../belief/belief.ts';

/** One look at a dough: how far it stood from the forecast, and what the forecast leans on. */
interface Observation {
  /** Points seen minus points forecast. */
  readonly residual: number;
  /** Points by which the level moves for one unit of each key. */
  readonly slopes: ReadonlyMap<string, number>;
  /** Catalogue's standard deviation of each key: the prior of a key not seen before. */
  readonly priors: ReadonlyMap<string, number>;
  /** Variance, in points², of what is drawn anew at every bake: feel, fills, weather. */
  readonly noise: number;
  /** Some bakes are slips: what is far from its forecast teaches little. */
  readonly slips?: true;
}

/**
 * Conjugate update of the joint Gaussian by one scalar observation: with slope g, covariance Σ and
 * noise r, the gain is k = Σg / (gᵀΣg + r); mean += k × residual; Σ −= k gᵀΣ.
 * Source: the linear Gaussian model, e.g. Gelman et al., Bayesian Data Analysis, chapter 14, from memory.
 *
 * @throws RangeError where the noise is not above 0
 * @example one key, prior sd .02, slope −100, residual −2, noise 2.25: mean +.0128, sd .012
 */
export const updateBelief = (belief: Belief, seen: Observation): Belief =>
  counted(conditioned(belief, seen), seen.slopes.entries());

/** A flour of which there is less than this share of the base does not matter to it. Own choice, no source. */
const mattersFrom = 0.1;

/** Whether a figure mattered to a dough that moves by so many points for one unit of it: of a thing that drinks, by its share. */
const mattered = (key: string, slope: number): boolean =>
  key.startsWith('thirst:') ? Math.abs(slope) >= 100 * mattersFrom : slope !== 0;

/**
 * A belief in which one more bake stands behind the figures that mattered in it.
 *
 * @param slopes by key; what does not move the dough is not seen in it
 */
export function counted(belief: Belief, slopes: Iterable<readonly [string, number]>): Belief {
  const bakes: Record<string, number> = { ...belief.bakes };
  for (const [key, slope] of slopes) if (mattered(key, slope)) bakes[key] = (bakes[key] ?? 0) + 1;
  return { ...belief, bakes };
}

/** The same without a count: of one bowl all touches are one bake. */
export function conditioned(belief: Belief, seen: Observation): Belief {
  if (!(seen.noise > 0)) throw new RangeError('the noise is above 0');
  const fresh = [...seen.slopes.keys()].filter((key) => placeOf(belief, key) === undefined);
  const keys = fresh.length > 0 ? [...belief.keys, ...fresh] : belief.keys;
  const count = keys.length;
  const old = belief.keys.length;
  // What rested begins where it was left.
  const prior = fresh.map((key) => doubtOf(belief, key, seen.priors.get(key)!) ** 2);

  // The slope is nought but for the few keys of this dough.
  const steep: Array<readonly [at: number, slope: number]> = [];
  for (const [key, slope] of seen.slopes)
    if (slope !== 0) steep.push([placeOf(belief, key) ?? old + fresh.indexOf(key), slope]);
  const lean = new Float64Array(count);
  for (const [j, slope] of steep) {
    if (j >= old) lean[j]! += prior[j - old]! * slope;
    // A covariance is the same by row and by column.
    else for (let i = 0; i < old; i += 1) lean[i]! += belief.covariance[j]![i]! * slope;
  }
  let variance = seen.noise;
  for (const [j, slope] of steep) variance += lean[j]! * slope;

  const { pull, shrink } = seen.slips
    ? slipOf(seen.residual, variance)
    : { pull: 1 / variance, shrink: 1 / variance };

  const mean: number[] = [];
  const covariance: number[][] = [];
  for (let i = 0; i < count; i += 1) {
    const gain = lean[i]! * pull;
    mean.push((belief.mean[i] ?? departure(belief, keys[i]!)) + gain * seen.residual);
    const before = i < old ? belief.covariance[i]! : undefined;
    if (before && gain === 0 && count === old) {
      // What this dough says nothing of stays as it is, to the very row.
      covariance.push(before as number[]);
      continue;
    }
    const row = before ? before.slice() : new Array<number>(old).fill(0);
    for (let j = old; j < count; j += 1) row.push(i === j ? prior[j - old]! : 0);
    if (gain !== 0) for (let j = 0; j < count; j += 1) row[j]! -= lean[i]! * shrink * lean[j]!;
    covariance.push(row);
  }
  return { ...belief, keys, mean, covariance };
}
