import { leavenFor } from '../ferment/leaven-for.ts';
import { isForecast, riseForecast, type Paces } from '../ferment/rise-doubt.ts';
import { isThin, ripeEnd } from '../ferment/ripe-end.ts';
import { usualRise, type RiseModel, type RisingDough } from '../ferment/rise.ts';
import type { Stirred } from './feeding.ts';

/** What a starter is built for. Grams and °C. */
export interface FeedingAsked {
  /** Ripe starter that the dough takes, its flour and its water. */
  readonly flour: number;
  readonly water: number;
  /** So much of it is kept back, to go on from. */
  readonly keep: number;
  /** Hours until it is to be ripe. */
  readonly hours: number;
  readonly celsius: number;
  /** Share of whole grain in its flour, 0 to 1. */
  readonly whole: number;
}

/** A feeding that is to be: what is stirred together, and when that is ripe. */
export interface FeedingAhead extends Stirred {
  readonly hours: { readonly middle: number; readonly low: number; readonly high: number };
  /** The hours that were asked for cannot be had: these are the nearest. */
  readonly nearest: boolean;
}

/**
 * A starter's build as the rise model takes it, sown with a tenth of its flour.
 *
 * @example starterDough({flour: 50, water: 50, keep: 20, celsius: 22, whole: .2}).water // 100
 */
export function starterDough({
  flour,
  water,
  keep,
  celsius,
  whole,
}: Omit<FeedingAsked, 'hours'>): RisingDough {
  const hydration = (100 * water) / flour;
  return {
    yeast: 0,
    starter: 10,
    salt: 0,
    sugar: 0,
    fat: 0,
    water: Math.max(hydration, 30),
    whole,
    liquid: isThin(hydration),
    celsius,
    air: [{ hours: 1, celsius }],
    vessel: 'bowl',
    kilograms: Math.max(0.02, (flour + water + keep) / 1000),
  };
}

/**
 * What to feed a starter with, so that it is ripe in that time: the less seed, the later.
 *
 * @returns undefined where there is no flour in it, or nothing would ripen
 * @example feedingFor({flour: 50, water: 50, keep: 20, hours: 8, celsius: 22, whole: .2})?.seed // about 20
 */
export function feedingFor(
  { flour, water, keep, hours, celsius, whole }: FeedingAsked,
  paces: Paces = {},
  model: RiseModel = usualRise,
): FeedingAhead | undefined {
  if (!(flour > 0) || !(hours > 0)) return undefined;
  const hydration = water / flour;
  const all = flour + water + keep;
  const ripening = starterDough({ flour, water, keep, celsius, whole });
  const end = ripeEnd({ ...ripening, liquid: true }, model);
  const found = leavenFor(ripening, 'starter', hours, end, paces, model);
  const percent = found.percent ? found.percent.middle : found.nearest?.percent;
  if (percent === undefined) return undefined;
  const forecast = riseForecast({ ...ripening, starter: percent }, end, paces, model);
  if (!isForecast(forecast)) return undefined;
  const { middle, low, high } = forecast;
  const flourIn = all / (1 + hydration);
  const seedFlour = (percent / 100) * flourIn;
  return {
    seed: seedFlour * (1 + hydration),
    flour: flourIn - seedFlour,
    water: (flourIn - seedFlour) * hydration,
    hours: { middle, low, high },
    nearest: found.percent === undefined,
  };
}
