import { ownNoise } from './noise.ts';
import type { ScaleReading } from './reading.ts';

/** A kitchen scale that is not there: what lies on it, and what it makes of that. Plain data. */
export interface ScaleStandIn {
  readonly at: number;
  /** Grams that truly lie on it. */
  readonly load: number;
  /** Grams that it feels by now: it comes to rest over a second or so. */
  readonly felt: number;
  /** Grams at which it was tared. */
  readonly tared: number;
  /** Everything was lifted off: so much comes back when it is put down. */
  readonly lifted: number | undefined;
  /** Grams that are being poured in a second. */
  readonly pouring: number;
  readonly step: number;
  /** Grams that its zero wanders in an hour. */
  readonly drift: number;
  readonly capacity: number;
  readonly seed: number;
}

/** Seconds in which two thirds of a change are felt; own choice, no source. */
const settles = 0.45;
/** It says that it rests where it feels within this of what lies there, grams. */
const atRest = 0.4;
/** Trembling of the display while something moves, grams. */
const trembles = 0.8;

/** An empty scale. */
export const scaleStandIn = (
  settings: Partial<Pick<ScaleStandIn, 'step' | 'drift' | 'capacity' | 'seed'>> = {},
): ScaleStandIn => ({
  at: 0,
  load: 0,
  felt: 0,
  tared: 0,
  lifted: undefined,
  pouring: 0,
  step: 1,
  drift: 0,
  capacity: 5000,
  seed: 1,
  ...settings,
});

/** The same scale so many milliseconds later. */
export function scaleLater(scale: ScaleStandIn, ms: number): ScaleStandIn {
  const seconds = ms / 1000;
  const load = Math.max(0, scale.load + (scale.lifted === undefined ? scale.pouring * seconds : 0));
  const share = 1 - Math.exp(-seconds / settles);
  return { ...scale, at: scale.at + ms, load, felt: scale.felt + share * (load - scale.felt) };
}

/** Puts something on it, or takes it off where below 0. */
export const putOn = (scale: ScaleStandIn, grams: number): ScaleStandIn =>
  scale.lifted === undefined
    ? { ...scale, load: Math.max(0, scale.load + grams) }
    : { ...scale, lifted: Math.max(0, scale.lifted + grams) };

/** Pours so many grams a second from now on; 0 ends it. */
export const pour = (scale: ScaleStandIn, gramsASecond: number): ScaleStandIn => ({
  ...scale,
  pouring: gramsASecond,
});

/** Somebody lifts everything off, or puts it back. */
export const lift = (scale: ScaleStandIn): ScaleStandIn =>
  scale.lifted === undefined
    ? { ...scale, lifted: scale.load, load: 0 }
    : { ...scale, lifted: undefined, load: scale.lifted };

/** Its own tare: what lies there counts for nothing. */
export const tare = (scale: ScaleStandIn): ScaleStandIn => ({ ...scale, tared: scale.felt });

/**
 * What its display shows.
 *
 * @example scaleReading(scaleLater(putOn(scaleStandIn(), 500), 5000)).grams // 500
 */
export function scaleReading(scale: ScaleStandIn): ScaleReading {
  const moves = Math.abs(scale.load - scale.felt);
  const settled = moves < atRest && (scale.pouring === 0 || scale.lifted !== undefined);
  const tremble = settled ? 0 : trembles * ownNoise(scale.seed, scale.at);
  const wandered = (scale.drift * scale.at) / 3_600_000;
  const grams = scale.felt - scale.tared + wandered + tremble;
  const shown = Math.round(grams / scale.step) * scale.step;
  return {
    at: scale.at,
    // Steps of a tenth are not tenths in binary.
    grams: Math.round(shown * 100) / 100 + 0,
    settled,
    over: scale.felt > scale.capacity,
  };
}
