import { isForecast, riseForecast, type Pace } from '../ferment/rise-doubt.ts';
import { ripeEnd } from '../ferment/ripe-end.ts';
import { usualRise, type RiseModel } from '../ferment/rise.ts';
import { fedDough, type PeakSeen } from './peaks-teach.ts';

/** When a feeding stands highest at a warmth, hours, 8 times in 10 between low and high. */
export interface PeakAt {
  readonly celsius: number;
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/**
 * How long a feeding takes to stand highest, warmth by warmth.
 *
 * @param pace what is believed of that starter; a starter that nothing is known of where absent
 * @returns of the warmths at which it gets there
 * @example peakByWarmth({seed: 20, flour: 40, water: 40, whole: 0}, undefined, [18, 25, 30]).length // 3
 */
export const peakByWarmth = (
  fed: Pick<PeakSeen, 'seed' | 'flour' | 'water' | 'whole'>,
  pace: Pace | undefined,
  warmths: readonly number[],
  model: RiseModel = usualRise,
): PeakAt[] =>
  warmths.flatMap((celsius) => {
    const dough = fedDough({ ...fed, celsius });
    const paces = pace ? { starter: pace } : {};
    const forecast = riseForecast(dough, ripeEnd(dough, model), paces, model);
    if (!isForecast(forecast)) return [];
    const { low, middle, high } = forecast;
    return [{ celsius, low, middle, high }];
  });
