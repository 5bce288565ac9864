import { figure } from '../figure/figure.ts';

/** One bake in so many is not what it is held to be: a spoon miscounted, another bag. */
const oneIn = figure(10, 'bakes', 3, 'own estimate, no source');
/** So far off is a bake that slipped: spread in points. */
export const slipSpread = figure(8, 'points', 2, 'own estimate, no source');

/** What is made of a bake that stood so far from its forecast. */
interface Slip {
  /** The chance that something went differently, 0 to 1. */
  readonly chance: number;
  /** By what the residual is taken, in place of one over its variance. */
  readonly pull: number;
  /** By what the doubt shrinks, in place of the same. */
  readonly shrink: number;
}

const density = (residual: number, variance: number): number =>
  Math.exp(-(residual ** 2) / (2 * variance)) / Math.sqrt(variance);

/**
 * What a residual teaches where some bakes are slips: the moments of a mixture of what was foreseen and of what is further
 * off. Near its forecast a bake teaches as ever, far from it little, with no bound between.
 *
 * Source: moment matching of a contaminated normal, e.g. West & Harrison, Bayesian Forecasting and Dynamic Models, chapter
 * 12, from memory.
 *
 * @param residual points felt minus points forecast
 * @param variance with which it was foreseen, points²
 * @example slipOf(0, 9).chance // .0375
 */
export function slipOf(residual: number, variance: number): Slip {
  const wide = variance + slipSpread.value ** 2;
  const share = 1 / oneIn.value;
  // By the logarithm of the odds: far out both densities are nothing.
  const odds =
    Math.log(share / (1 - share)) +
    (Math.log(variance / wide) + residual ** 2 * (1 / variance - 1 / wide)) / 2;
  const chance = 1 / (1 + Math.exp(-odds));
  const pull = (1 - chance) / variance + chance / wide;
  const shrink = pull - chance * (1 - chance) * residual ** 2 * (1 / variance - 1 / wide) ** 2;
  return { chance, pull, shrink };
}

/**
 * How well a residual was foreseen, slips reckoned with: a density but for a factor.
 *
 * @example foreseenBy(0, 4) > foreseenBy(0, 9) // true
 */
export const foreseenBy = (residual: number, variance: number): number => {
  const share = 1 / oneIn.value;
  return (
    (1 - share) * density(residual, variance) +
    share * density(residual, variance + slipSpread.value ** 2)
  );
};
