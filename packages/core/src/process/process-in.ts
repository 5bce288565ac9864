import type { Place, Process, ProcessEnd } from '../formula/process.ts';
import { minutesIn } from '../quantity/duration.ts';
import { celsiusIn } from '../quantity/temperature.ts';

const ends: ReadonlyArray<readonly [RegExp, ProcessEnd]> = [
  [/\btriple/i, 'tripled'],
  [/\bdoubl(?:ed|es|e|ing)\b/i, 'doubled'],
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

const degrees = String.raw`(?:\d{2,3}\s*(?:-|–|to)\s*)?\d{2,3}\s*(?:°|º|deg(?:rees)?)?\s*[CF](?:elsius|ahrenheit)?\b`;
const sameInBoth = String.raw`${degrees}(?:\s*[(/,]?\s*(?:or\s+)?${degrees}\s*\)?)?`;
const near = String.raw`(?:(?!\boven\b)[^.;\d]){0,30}`;
const behind = String.raw`(?:(?!\b(?:oven|to|until)\b)[^.;\d]){0,15}`;
/** A temperature of the bread itself: “until 94 °C inside”, “internal temperature of 200 °F”. No oven is set to it. */
const coreTemperature = new RegExp(
  [
    String.raw`(?:\binternal|\binside|\bcore|\bprobe|(?<!oven )\bthermometer|\b(?:cent(?:er|re)|middle)(?: of (?:the|each) \w+)?,? (?:reads?|reach\w*|is|registers|temp\w*))${near}${sameInBoth}`,
    String.raw`${sameInBoth}${behind}(?:\binside\b|\binternal(?:ly)?\b|\bcore\b|\b(?:in|at) (?:the|its|their) (?:cent(?:er|re)|middle)s?\b)(?! of the oven)`,
  ].join('|'),
  'gi',
);
/** Water boils and bread is done: what a sentence has a bread reach below this is the bread’s, °C. Own choice, no source. */
const coolestOven = 105;

/** What a sentence says of where the dough stands: how warm it is there, and whether the bread's own temperature ends it. */
function warmthIn(text: string): { celsius?: number | undefined; core: boolean } {
  const outside = text.replace(coreTemperature, ' ');
  const celsius = celsiusIn(outside);
  const reached =
    celsius !== undefined &&
    celsius <= coolestOven &&
    /\b(?:until|reads?|reach\w*|registers|hits)\b[^.;\d]{0,25}\d/i.test(outside) &&
    placeIn(text) === 'oven';
  return reached ? { core: true } : { celsius, core: outside !== text };
}

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
  const { celsius, core } = warmthIn(text);
  const end = core ? 'core' : ends.find(([pattern]) => pattern.test(text))?.[1];
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
