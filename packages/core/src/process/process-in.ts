import type { Place, Process, ProcessEnd } from '../formula/process.ts';
import { minutesIn } from '../quantity/duration.ts';
import { celsiusIn } from '../quantity/temperature.ts';

const ends: ReadonlyArray<readonly [RegExp, ProcessEnd]> = [
  [/\btriple/i, 'tripled'],
  [/\bdoubl(?:ed|es|e in|ing)/i, 'doubled'],
  [/\b(?:half again|by (?:a )?half|1\.5 times|50 ?%)/i, 'half-again'],
  [/\b(?:peak|domed|bubbly|floats)\b/i, 'peak'],
  [/\bpuff/i, 'puffy'],
  [/\b(?:internal|core|cent(?:er|re) (?:temp|reads))/i, 'core'],
];
const places: ReadonlyArray<readonly [RegExp, Place]> = [
  [/\b(?:fridge|refrigerat|retard)/i, 'fridge'],
  [/\bbread machine|\bmachine\b/i, 'machine'],
  [/\b(?:bake|oven|roast)\b/i, 'oven'],
  [/\bwarm (?:place|spot)|\bproof(?:er|ing box)/i, 'warm'],
  [/\b(?:room temp|counter|overnight)/i, 'room'],
];

/** Where a sentence says that it stands. */
export const placeIn = (text: string): Place | undefined =>
  places.find(([pattern]) => pattern.test(text))?.[1];

/**
 * What a sentence says of time, warmth, place and end.
 *
 * @returns undefined where it says nothing of them
 * @example processIn('Bake at 190 °C for 35 to 40 minutes.') // {minutes: 35, mostMinutes: 40, celsius: 190, …}
 */
export function processIn(text: string): Process | undefined {
  const time = minutesIn(text);
  const celsius = celsiusIn(text);
  const end = ends.find(([pattern]) => pattern.test(text))?.[1];
  const place = placeIn(text);
  if (!time && celsius === undefined && !end) return undefined;
  const inRange = celsius !== undefined && celsius >= -25 && celsius <= 320;
  return {
    ...(time && time.least <= 20_160 ? { minutes: time.least } : {}),
    ...(time?.most !== undefined && time.most <= 20_160 ? { mostMinutes: time.most } : {}),
    ...(inRange ? { celsius } : {}),
    ...(place ? { place } : {}),
    ...(end ? { end } : {}),
  };
}
