/**
 * Density of the standard normal.
 *
 * @example normalDensity(0) // .3989
 */
export const normalDensity = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);

/**
 * Distribution function of the standard normal.
 * Source: Abramowitz & Stegun 7.1.26, error below 1.5e-7.
 *
 * @example normalBelow(0) // 0.5
 */
export function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const series =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - series * Math.exp(-x * x);
  return z < 0 ? (1 - erf) / 2 : (1 + erf) / 2;
}

/**
 * A normal after one more measurement of it. Source: the conjugate normal, e.g. Gelman et al., Bayesian Data
 * Analysis, chapter 2, from memory.
 *
 * @param noise standard deviation of a measurement, above 0
 * @example normalAfter({mean: 0, sd: 1}, 2, 1).mean // 1
 */
export function normalAfter(
  { mean, sd }: { readonly mean: number; readonly sd: number },
  seen: number,
  noise: number,
): { mean: number; sd: number } {
  const gain = sd ** 2 / (sd ** 2 + noise ** 2);
  return { mean: mean + gain * (seen - mean), sd: sd * Math.sqrt(1 - gain) };
}

/**
 * Distribution function of Student's t: the normal's, where the spread itself is only estimated.
 * Source: Abramowitz & Stegun 26.7.8; within .005 from five degrees of freedom on.
 *
 * @param freedom degrees of it, above 0
 * @example studentBelow(0, 8) // 0.5
 */
export const studentBelow = (t: number, freedom: number): number =>
  normalBelow((t * (1 - 1 / (4 * freedom))) / Math.sqrt(1 + (t * t) / (2 * freedom)));
