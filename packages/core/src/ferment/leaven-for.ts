import { usualRise, type RiseModel, type RisingDough } from './rise.ts';
import { isForecast, riseForecast, withPaces, type Paces } from './rise-doubt.ts';
import { riseUntil, type RiseEnd } from './rise-until.ts';
import { z80 } from '../coefficients/coefficients.ts';

/** The leaven that is looked for, and how much of it can be meant, % of the flour. */
export const leavenSpans = {
  yeast: [0.005, 5],
  starter: [0.5, 60],
} as const;

export type LeavenKind = keyof typeof leavenSpans;

/** How much leaven brings a dough to an end in a time; or what the least and the most of it do. */
export type LeavenFor =
  | { readonly percent: { readonly middle: number; readonly low: number; readonly high: number } }
  | {
      readonly percent?: undefined;
      readonly why: 'too-soon' | 'too-late' | 'never';
      /** The nearest that there is, and the hours that it takes; none where it never comes there. */
      readonly nearest?: { readonly percent: number; readonly hours: number };
    };

/** Hours beyond which nobody asks. */
const longestAsked = 240;
/** Spread of the logarithm of a time that has no band of its own. Own estimate, no source. */
const unknownSd = 0.3;

/** Halvings of the logarithm of the amount: to a hundredth of a per cent of it. */
const halvings = 22;

/** The amount whose time that is, between the least and the most that can be meant. */
function halved(
  paced: RisingDough,
  kind: LeavenKind,
  wanted: number,
  end: RiseEnd,
  model: RiseModel,
): number {
  const [least, most] = leavenSpans[kind];
  let [low, high] = [Math.log(least), Math.log(most)];
  for (let i = 0; i < halvings; i += 1) {
    const middle = (low + high) / 2;
    const dough = { ...paced, [kind]: Math.exp(middle) };
    // Nothing is followed for longer than decides.
    const { hours = Infinity } = riseUntil(dough, end, model, wanted * 1.001);
    if (hours > wanted) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}

/**
 * Leaven for a time without its band, for where only the amount is wanted.
 *
 * @returns undefined where the most that can be meant is not there by then
 * @example leavenAmount(lean dough at 26 °C, 'yeast', 3, {volume: 2}) // about .3
 */
export function leavenAmount(
  dough: RisingDough,
  kind: LeavenKind,
  hours: number,
  end: RiseEnd,
  paces: Paces = {},
  model: RiseModel = usualRise,
): number | undefined {
  const paced = withPaces(dough, paces);
  const most = { ...paced, [kind]: leavenSpans[kind][1] };
  return riseUntil(most, end, model, hours).hours === undefined
    ? undefined
    : halved(paced, kind, hours, end, model);
}

/**
 * Leaven for a time: the more of it, the sooner, so that halving the span finds it.
 *
 * @param dough with any amount of that leaven: it is put in its place
 * @param hours wanted, above 0
 * @example leavenFor(lean dough at 26 °C, 'yeast', 3, {volume: 2}).percent?.middle // about .3
 */
export function leavenFor(
  dough: RisingDough,
  kind: LeavenKind,
  hours: number,
  end: RiseEnd,
  paces: Paces = {},
  model: RiseModel = usualRise,
): LeavenFor {
  const [least, most] = leavenSpans[kind];
  const paced = withPaces(dough, paces);
  const takes = (percent: number, upTo: number): number =>
    riseUntil({ ...paced, [kind]: percent }, end, model, upTo).hours ?? Infinity;
  const find = (wanted: number): number => halved(paced, kind, wanted, end, model);
  const soonest = takes(most, longestAsked);
  if (soonest > hours) {
    return soonest === Infinity
      ? { why: 'never' }
      : { why: 'too-soon', nearest: { percent: most, hours: soonest } };
  }
  const latest = takes(least, longestAsked);
  if (latest < hours) return { why: 'too-late', nearest: { percent: least, hours: latest } };
  const middle = find(hours);
  const band = riseForecast({ ...dough, [kind]: middle }, end, paces, model);
  const sd = isForecast(band) ? band.sd : unknownSd;
  const within = (of: number): number => Math.min(latest, Math.max(soonest, of));
  // Slower than believed wants more of it for the same time.
  const at = (by: number): number => find(within(hours * Math.exp(by)));
  return { percent: { middle, low: at(z80 * sd), high: at(-z80 * sd) } };
}
