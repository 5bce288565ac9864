import { commonPractice, figure } from '../figure/figure.ts';
import { freshPace, learnPace } from '../ferment/learn-pace.ts';
import { isForecast, type Pace } from '../ferment/rise-doubt.ts';
import { notedForecast } from '../ferment/rise-noted.ts';
import { ripeEnd } from '../ferment/ripe-end.ts';
import { usualRise, type RiseModel } from '../ferment/rise.ts';
import { starterDough } from './feeding-for.ts';
import { hoursToPeak, type Feeding } from './feeding.ts';

/** A feeding of which somebody saw the peak, and how warm it stood. */
export interface PeakSeen extends Pick<Feeding, 'seed' | 'flour' | 'water' | 'at' | 'peakAt'> {
  readonly celsius: number;
  /** Share of whole grain in its flour, 0 to 1. */
  readonly whole: number;
}

/** Less seed than that was a pinch that nobody weighed; share of the flour. Own choice, no source. */
const leastSeed = figure(0.005, 'g per g of flour', 0.002, commonPractice);

/**
 * What a starter's peaks teach of its pace and temper, one after the other: each is told by what it was fed and how warm it
 * stood.
 *
 * @param pace what is believed of it before
 * @returns the pace afterwards; the same where nothing tells
 * @example peaksTeach(undefined, []) // undefined
 */
export function peaksTeach(
  pace: Pace | undefined,
  peaks: readonly PeakSeen[],
  model: RiseModel = usualRise,
): Pace | undefined {
  let now = pace;
  for (const { seed, flour, water, celsius, whole, ...moments } of peaks) {
    const hours = hoursToPeak(moments);
    if (hours === undefined || !(flour > 0) || seed / flour < leastSeed.value) continue;
    // Ripe starter of equal parts is half flour; stiffer or thinner it is nearly that.
    const sown = (100 * (seed / 2)) / (flour + seed / 2);
    const dough = {
      ...starterDough({
        flour: flour + seed / 2,
        water: water + seed / 2,
        keep: 0,
        celsius,
        whole,
      }),
      starter: sown,
    };
    const known = now ?? freshPace('starter');
    const forecast = notedForecast(dough, ripeEnd(dough, model), { starter: known }, model);
    if (isForecast(forecast))
      now = learnPace(known, forecast, 'starter', { hours, sense: 'there' });
  }
  return now;
}
