import { isForecast, riseForecast, type Paces } from '../ferment/rise-doubt.ts';
import { ripeEnd } from '../ferment/ripe-end.ts';
import { usualRise, type RiseModel, type RisingDough } from '../ferment/rise.ts';
import { starterDough, type FeedingAhead, type FeedingAsked } from './feeding-for.ts';

type Built = Omit<FeedingAsked, 'hours'> & {
  /** Ripe starter that it is fed from, g per g of the flour that it is fed. */
  readonly seed: number;
};

/**
 * A starter's build by its recipe's own proportions, as the rise model takes it.
 *
 * @example builtDough({flour: 60, water: 60, keep: 0, celsius: 22, whole: 0, seed: .4}).starter // 16.7
 */
export function builtDough({ seed, ...asked }: Built): RisingDough {
  const ripeFlour = seed / (1 + asked.water / asked.flour);
  return { ...starterDough(asked), starter: (100 * ripeFlour) / (1 + ripeFlour) };
}

/**
 * What a starter is fed with by its recipe's own proportions, and when that is ripe.
 *
 * @returns undefined where there is no flour in it, or it never ripens
 * @example ownBuild({flour: 60, water: 60, keep: 0, celsius: 22, whole: 0, seed: .4})?.seed // 20
 */
export function ownBuild(
  built: Built,
  paces: Paces = {},
  model: RiseModel = usualRise,
): FeedingAhead | undefined {
  const { flour, water, keep, seed } = built;
  if (!(flour > 0)) return undefined;
  const hydration = water / flour;
  const dough = builtDough(built);
  const forecast = riseForecast(dough, ripeEnd({ ...dough, liquid: true }, model), paces, model);
  if (!isForecast(forecast)) return undefined;
  const { middle, low, high } = forecast;
  const allFlour = (flour + water + keep) / (1 + hydration);
  const fed = allFlour / (1 + seed / (1 + hydration));
  return {
    seed: seed * fed,
    flour: fed,
    water: fed * hydration,
    hours: { middle, low, high },
    nearest: false,
  };
}
