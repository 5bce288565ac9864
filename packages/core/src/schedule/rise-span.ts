import { isForecast, withPaces, type Paces } from '../ferment/rise-doubt.ts';
import { riseUntil, type RiseEnd } from '../ferment/rise-until.ts';
import { usualRise, type RiseModel, type RisingDough } from '../ferment/rise.ts';
import type { Rise } from '../ferment/rises.ts';

/** How long something takes, in whole minutes, and how sure that is. */
export interface Stretch {
  readonly least: number;
  readonly usual: number;
  readonly most: number;
  /** Spread of its logarithm. */
  readonly doubt: number;
}

/** A dough may be taken on from so much of what it is to gain, up to so much of it. Common practice, no source. */
const soonEnough = 0.9;
const lateEnough = 1.2;
/** Where the dough never comes so far, so much of the time. Own choice, no source. */
const lateTime = 1.3;

/** An end of a rise with so much of what is gained until it. */
const gained = (end: RiseEnd, share: number): RiseEnd =>
  'volume' in end ? { volume: 1 + (end.volume - 1) * share } : { gas: end.gas * share };

const minutes = (hours: number): number => Math.round(hours * 60);

/**
 * How long a rise may take: ready in the middle, taken on somewhat before or after that without harm.
 *
 * @returns undefined where it never comes there
 * @example riseSpan(risesOf(lines, standing, 'tin')[0]!) // {least: 70, usual: 75, most: 84, doubt: .17}
 */
export function riseSpan(
  { dough, end, forecast }: Pick<Rise, 'dough' | 'end' | 'forecast'>,
  paces: Paces = {},
  model: RiseModel = usualRise,
): Stretch | undefined {
  if (!isForecast(forecast)) return undefined;
  const known = withPaces(dough, paces);
  const from = 'volume' in end ? (dough.fromVolume ?? 1) : 1;
  // Of what has risen before, only the rest is waited for.
  const soon = gained(end, soonEnough);
  // What was seen of it moves all of its times alike.
  const seen = forecast.middle / (riseUntil(known, end, model).hours ?? forecast.middle);
  const least =
    'volume' in soon && soon.volume <= from
      ? forecast.middle * soonEnough
      : (riseUntil(known, soon, model).hours ?? forecast.middle / seen) * seen;
  const latest = (forecast.middle / seen) * 2;
  const late = riseUntil(known, gained(end, lateEnough), model, latest).hours;
  const most = late === undefined ? forecast.middle * lateTime : late * seen;
  return {
    least: minutes(least),
    usual: minutes(forecast.middle),
    most: minutes(Math.max(most, forecast.middle)),
    doubt: forecast.sd,
  };
}

/** Hours of a dough until it would be over: more than this share of what it was to gain. Common practice, no source. */
const overripe = 1.45;

/**
 * Hours that a dough stands in the cold before it has gone over.
 *
 * @param most hours that nobody goes beyond
 */
export const keepsFor = (
  dough: RisingDough,
  end: RiseEnd,
  most: number,
  paces: Paces = {},
  model: RiseModel = usualRise,
): number => riseUntil(withPaces(dough, paces), gained(end, overripe), model, most).hours ?? most;
