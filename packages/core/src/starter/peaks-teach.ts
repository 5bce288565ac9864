import { commonPractice, figure } from '../figure/figure.ts';
import { freshPace, learnPace } from '../ferment/learn-pace.ts';
import { isForecast, type Pace } from '../ferment/rise-doubt.ts';
import { notedForecast } from '../ferment/rise-noted.ts';
import { ripeEnd } from '../ferment/ripe-end.ts';
import type { RiseEnd } from '../ferment/rise-until.ts';
import { usualRise, type RiseModel, type RisingDough } from '../ferment/rise.ts';
import { starterDough } from './feeding-for.ts';
import { hoursToPeak, hoursToRising, type Feeding } from './feeding.ts';

/** A feeding of which somebody saw the peak, or when it began to rise, and how warm it stood. */
export interface PeakSeen extends Pick<
  Feeding,
  'seed' | 'flour' | 'water' | 'at' | 'peakAt' | 'risingAt'
> {
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
  for (const peak of peaks) {
    const seen = seenOf(peak, model);
    if (!seen) continue;
    const { dough, end, hours } = seen;
    const known = now ?? freshPace('starter');
    const forecast = notedForecast(dough, end, { starter: known }, model);
    if (isForecast(forecast))
      now = learnPace(known, forecast, 'starter', { hours, sense: 'there' });
  }
  return now;
}

/** A starter that began to rise stands so much higher: less nobody sees. Common practice, no source. */
const begun = figure(1.15, 'times', 0.05, commonPractice);

/** What was seen of a feeding: when it stood highest, or else when it began to rise. */
function seenOf(
  { seed, flour, water, celsius, whole, ...moments }: PeakSeen,
  model: RiseModel,
): { dough: RisingDough; end: RiseEnd; hours: number } | undefined {
  const peak = hoursToPeak(moments);
  const hours = peak ?? hoursToRising(moments);
  if (hours === undefined || !(flour > 0) || seed / flour < leastSeed.value) return undefined;
  const dough = fedDough({ seed, flour, water, celsius, whole });
  return {
    dough,
    end: peak === undefined ? { volume: begun.value } : ripeEnd(dough, model),
    hours,
  };
}

/**
 * A feeding as the rise model takes it.
 *
 * @example fedDough({seed: 20, flour: 40, water: 40, celsius: 22, whole: 0}).starter // 20
 */
export const fedDough = ({
  seed,
  flour,
  water,
  celsius,
  whole,
}: Omit<PeakSeen, 'at' | 'peakAt' | 'risingAt'>): RisingDough => ({
  ...starterDough({
    flour: flour + seed / 2,
    water: water + seed / 2,
    keep: 0,
    celsius,
    whole,
  }),
  // Ripe starter of equal parts is half flour; stiffer or thinner it is nearly that.
  starter: (100 * (seed / 2)) / (flour + seed / 2),
});
