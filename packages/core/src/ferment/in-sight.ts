import { z80 } from '../coefficients/coefficients.ts';
import { figure, commonPractice } from '../figure/figure.ts';
import { oneSided } from './one-sided.ts';
import {
  isForecast,
  ofStarter,
  riseDoubtIds,
  riseDoubts,
  riseForecast,
  riseMoves,
  starterCovariance,
  type Paces,
  type RiseDoubt,
  type RiseForecast,
} from './rise-doubt.ts';
import type { RiseEnd } from './rise-until.ts';
import { usualRise, type RiseModel, type RisingDough } from './rise.ts';

/** What was seen of a dough while it rose, so many hours after its rise began. */
export type Seen =
  | { readonly hours: number; readonly volume: number }
  | { readonly hours: number; readonly sense: 'not-yet' | 'ready' | 'past' };

/** By the eye and a tape nobody reads what a dough has gained any nearer: of its logarithm. */
const reading = figure(0.12, 'ln of what it has gained', 0.04, commonPractice);
/** A finger tells the moment so nearly: of the logarithm of the time. */
const finger = figure(0.12, 'ln of the time', 0.04, commonPractice);
/** So many looks are gone by, the latest: what was seen before says what they say. Own choice, no source. */
const mostLooks = 6;
/** Sooner than that a mark is the mark that it began with, hours. Own choice, no source. */
const soonest = 0.05;

/** What is believed of everything that is in doubt, in spreads of it: its middle, and how it varies together. */
interface Belief {
  readonly mean: readonly number[];
  readonly together: readonly (readonly number[])[];
}

/** Before anything was seen: each doubt for itself, but a starter's pace and temper as they are known together. */
function asBelieved({ starter }: Paces): Belief {
  const known = starterCovariance(starter);
  const at = (id: RiseDoubt): number => (ofStarter as readonly string[]).indexOf(id);
  const share = (i: number, j: number): number => {
    const spread = Math.sqrt(known[i]![i]! * known[j]![j]!);
    return spread > 0 ? known[i]![j]! / spread : 0;
  };
  return {
    mean: riseDoubtIds.map(() => 0),
    together: riseDoubtIds.map((a, i) =>
      riseDoubtIds.map((b, j) =>
        i === j ? 1 : at(a) >= 0 && at(b) >= 0 ? share(at(a), at(b)) : 0,
      ),
    ),
  };
}

const along = ({ together }: Belief, by: readonly number[]): number[] =>
  together.map((row) => row.reduce((sum, k, i) => sum + k * by[i]!, 0));
const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, x, i) => sum + x * b[i]!, 0);

/** The step of a Gaussian for one look: by so much off its forecast, in its own spreads, and what of the doubt goes. */
function stepped(
  belief: Belief,
  by: readonly number[],
  noise: number,
  off: number,
  sense?: 'not-yet' | 'past',
): Belief {
  const to = along(belief, by);
  const spread = Math.sqrt(dot(by, to) + noise ** 2);
  if (!(spread > 1e-9)) return belief;
  const innovation = (off - dot(by, belief.mean)) / spread;
  const { lift, shrink } =
    sense === undefined ? { lift: innovation, shrink: 1 } : oneSided(innovation, sense);
  return {
    mean: belief.mean.map((m, i) => m + (to[i]! * lift) / spread),
    together: belief.together.map((row, i) =>
      row.map((k, j) => k - (to[i]! * to[j]! * shrink) / spread ** 2),
    ),
  };
}

/**
 * The forecast of a rise of which something was seen: a mark on the vessel, a poke, “not yet”. Everything that is in doubt
 * moves as what was seen has it, in the logarithm of the time, and with it the end of the rise and its band.
 *
 * @param seen while it rose; none says nothing
 * @returns as `riseForecast`
 * @example seenForecast(dough, {volume: 2}, {}, usualRise, [{hours: .5, volume: 1.75}]).middle // well before its forecast
 */
export function seenForecast(
  dough: RisingDough,
  end: RiseEnd,
  paces: Paces = {},
  model: RiseModel = usualRise,
  seen: readonly Seen[] = [],
): RiseForecast {
  const before = riseForecast(dough, end, paces, model);
  const looks = seen.filter((s) => s.hours >= soonest).slice(-mostLooks);
  if (!isForecast(before) || looks.length === 0) return before;
  const ofEnd = riseMoves(dough, end, paces, model)!;
  const ends = riseDoubtIds.map((id) => ofEnd.by.get(id) ?? 0);
  const isEnd = riseDoubtIds.indexOf('end');
  let belief = asBelieved(paces);
  for (const look of looks) {
    if ('volume' in look) {
      const volume = { volume: look.volume };
      const found = riseMoves(dough, volume, paces, model);
      // Higher than it ever comes, or where it began: a mark that says nothing of its pace.
      if (!found || !(found.hours > soonest)) continue;
      const all = riseDoubtIds.map((id) => found.by.get(id) ?? 0);
      // Where it is ready is another doubt than how a tape is read.
      const by = all.map((b, i) => (i === isEnd ? 0 : b));
      const noise = (all[isEnd]! / riseDoubts.end.sd.value) * reading.value;
      belief = stepped(belief, by, noise, Math.log(look.hours / found.hours));
    } else {
      const off = Math.log(look.hours / before.middle);
      belief =
        look.sense === 'ready'
          ? stepped(belief, ends, finger.value, off)
          : stepped(belief, ends, finger.value, off, look.sense);
    }
  }
  const middle = before.middle * Math.exp(dot(ends, belief.mean));
  const sd = Math.sqrt(Math.max(0, dot(ends, along(belief, ends))));
  return {
    ...before,
    middle,
    low: middle * Math.exp(-z80 * sd),
    high: middle * Math.exp(z80 * sd),
    sd,
    passing: Math.min(before.passing, sd),
  };
}
