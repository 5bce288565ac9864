import type { Belief } from '../household/belief.ts';

/** One look at a dough: how far it stood from the forecast, and what the forecast leans on. */
export interface Observation {
  /** Points seen minus points forecast. */
  readonly residual: number;
  /** Points by which the level moves for one unit of each key. */
  readonly slopes: ReadonlyMap<string, number>;
  /** Catalogue's standard deviation of each key: the prior of a key not seen before. */
  readonly priors: ReadonlyMap<string, number>;
  /** Variance, in points², of what is drawn anew at every bake: feel, fills, weather. */
  readonly noise: number;
}

/**
 * Conjugate update of the joint Gaussian by one scalar observation: with slope g, covariance Σ and
 * noise r, the gain is k = Σg / (gᵀΣg + r); mean += k × residual; Σ −= k gᵀΣ.
 * Source: the linear Gaussian model, e.g. Gelman et al., Bayesian Data Analysis, chapter 14, from memory.
 *
 * @throws RangeError where the noise is not above 0
 * @example one key, prior sd .02, slope −100, residual −2, noise 2.25: mean +.0128, sd .012
 */
export function updateBelief(belief: Belief, seen: Observation): Belief {
  if (!(seen.noise > 0)) throw new RangeError('the noise is above 0');
  const fresh = [...seen.slopes.keys()].filter((key) => !belief.keys.includes(key));
  const keys = [...belief.keys, ...fresh];
  const old = belief.keys.length;
  const covariance = keys.map((key, i) =>
    keys.map((_, j) => {
      if (i < old && j < old) return belief.covariance[i]![j]!;
      return i === j ? seen.priors.get(key)! ** 2 : 0;
    }),
  );
  const slope = keys.map((key) => seen.slopes.get(key) ?? 0);
  const lean = covariance.map((row) => row.reduce((sum, c, j) => sum + c * slope[j]!, 0));
  const variance = lean.reduce((sum, l, i) => sum + l * slope[i]!, 0) + seen.noise;
  const gain = lean.map((l) => l / variance);

  const bakes: Record<string, number> = { ...belief.bakes };
  for (const [key, g] of seen.slopes) if (g !== 0) bakes[key] = (bakes[key] ?? 0) + 1;
  return {
    keys,
    mean: keys.map((_, i) => (belief.mean[i] ?? 0) + gain[i]! * seen.residual),
    covariance: covariance.map((row, i) => row.map((c, j) => c - gain[i]! * lean[j]!)),
    bakes,
  };
}
