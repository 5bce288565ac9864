import type { ResolvedLine } from '../formula/resolve.ts';
import { massPerWork, type YeastWork } from '../ingredient/yeast.ts';
import { leavenFor, type LeavenFor, type LeavenKind } from './leaven-for.ts';
import { isSour, ripeEnd } from './ripe-end.ts';
import { riseForecast, withPaces, type Paces, type RiseForecast } from './rise-doubt.ts';
import { riseUntil, type RiseEnd } from './rise-until.ts';
import { usualRise, type RiseModel, type RisingDough } from './rise.ts';
import { chilledDough } from './shaped-cold.ts';
import { risingDough, type Standing } from './rising-dough.ts';

/** One rise of a bread: what ends it, in words, and when that is. */
export interface Rise {
  readonly id: 'first' | 'final';
  readonly label: string;
  /** The sign that ends it. */
  readonly until: string;
  readonly dough: RisingDough;
  readonly end: RiseEnd;
  readonly forecast: RiseForecast;
}

/** Volume that is left after a dough was divided and shaped. Common practice, no source. */
const shapedVolume = { yeast: 1.15, sourdough: 1.2 } as const;
/** Volume at which a shaped dough goes into the oven. Common practice, no source. */
const proofed = { yeast: 2.1, sourdough: 1.75, wholeLess: 0.35 } as const;

function words(end: RiseEnd, dough: RisingDough, final: boolean): string {
  if ('gas' in end) return 'ripe: domed or just falling';
  if (dough.whole > 0.5)
    return final ? 'filled out and puffy, not doubled' : 'well risen, not quite doubled';
  if (isSour(dough))
    return final ? 'puffy; a poke comes back slowly' : 'half as high again, and bubbly at the edge';
  return final ? 'nearly doubled; a poke comes back slowly' : 'doubled';
}

/** A rise before its time is told. */
export type ComingRise = Omit<Rise, 'forecast'>;

/**
 * The first rise of a formula's dough where it stands, through a fridge or not.
 *
 * @param once it rises once, and goes into the oven then
 * @returns undefined for a dough without flour, or with nothing that raises it
 * @example firstRise(lines, {celsius: 25, air: [{hours: 1, celsius: 22}], vessel: 'bowl'})?.id // 'first'
 */
export function firstRise(
  lines: readonly ResolvedLine[],
  standing: Standing,
  work: YeastWork = massPerWork,
  model: RiseModel = usualRise,
  once = false,
): ComingRise | undefined {
  const dough = risingDough(lines, standing, work, model);
  if (!dough || dough.yeast + dough.starter === 0) return undefined;
  const end = once ? proofedEnd(dough) : ripeEnd(dough, model);
  const label = once ? 'Rise' : 'First rise';
  return { id: 'first', label, until: words(end, dough, once), dough, end };
}

/** How far a dough rises that goes into the oven then. */
const proofedEnd = (dough: RisingDough): RiseEnd => ({
  volume: isSour(dough) ? proofed.sourdough : proofed.yeast - proofed.wholeLess * dough.whole,
});

/**
 * The final rise of the shaped pieces, which begins as warm or cold as the first left it.
 *
 * @param shaped what the pieces stand in
 * @example finalRise(first, 'tin').dough.awake // true
 */
export function finalRise(
  { dough: first, end: firstEnd }: Pick<ComingRise, 'dough' | 'end'>,
  shaped: Standing['vessel'],
  paces: Paces = {},
  model: RiseModel = usualRise,
): ComingRise {
  const sour = isSour(first);
  // Where it stood at first it stands at last, however cold it was in between.
  const room = first.air[0]!.celsius;
  const risenAt = riseUntil(withPaces(first, paces), firstEnd, model);
  const dough: RisingDough = {
    ...first,
    celsius: first.chilled
      ? chilledDough.value
      : risenAt.hours === undefined
        ? room
        : risenAt.celsius,
    air: [{ hours: 1, celsius: room }],
    vessel: shaped,
    fromVolume: sour ? shapedVolume.sourdough : shapedVolume.yeast,
    awake: true,
  };
  const end = proofedEnd(first);
  return { id: 'final', label: 'Final proof', until: words(end, dough, true), dough, end };
}

/**
 * The rises of a formula's dough, with their times: both, or the one that it has.
 *
 * @param shaped what the pieces stand in for the last
 * @param once it rises once, and goes into the oven then
 * @returns none for a dough without flour, or with nothing that raises it
 * @example risesOf(lines, {celsius: 25, air: [{hours: 1, celsius: 22}], vessel: 'bowl'}, 'tin').map((r) => r.until)
 */
export function risesOf(
  lines: readonly ResolvedLine[],
  standing: Standing,
  shaped: Standing['vessel'],
  paces: Paces = {},
  work: YeastWork = massPerWork,
  model: RiseModel = usualRise,
  once = false,
): Rise[] {
  const first = firstRise(lines, standing, work, model, once);
  if (!first) return [];
  return (once ? [first] : [first, finalRise(first, shaped, paces, model)]).map((rise) => ({
    ...rise,
    forecast: riseForecast(rise.dough, rise.end, paces, model),
  }));
}

/** Leaven that a first rise takes, in that many hours. */
export const leavenForRise = (
  { dough, end }: Pick<Rise, 'dough' | 'end'>,
  kind: LeavenKind,
  hours: number,
  paces: Paces = {},
  model: RiseModel = usualRise,
): LeavenFor => leavenFor(dough, kind, hours, end, paces, model);
