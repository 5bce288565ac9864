import { normalDraws, type Random } from '../quantity/seeded-random.ts';
import { riseDoubts, spreadOf, withPaces, type Paces, type RiseDoubt } from './rise-doubt.ts';
import { riseUntil, type RiseEnd } from './rise-until.ts';
import { usualRise, type RiseModel, type RisingDough } from './rise.ts';

/** A rise drawn many times over. */
export interface RiseDraws {
  /** Hours, the shortest first; of draws that never come there, none. */
  readonly hours: readonly number[];
  readonly draws: number;
  readonly low: number;
  readonly middle: number;
  readonly high: number;
  /** What each doubt alone puts on the logarithm of the time: its share of the variance, the largest first. */
  readonly shares: ReadonlyArray<{ readonly doubt: RiseDoubt; readonly share: number }>;
}

const rows = Object.entries(riseDoubts) as Array<[RiseDoubt, (typeof riseDoubts)[RiseDoubt]]>;

/**
 * The time of a rise with everything that is in doubt about it drawn at once: what the band of the live figure
 * takes for straight lines, as it is.
 *
 * @returns undefined where fewer than half of the draws come there
 * @example drawRise(dough, {volume: 2}, seededRandom(1), 200)?.middle // about 1.3
 */
export function drawRise(
  dough: RisingDough,
  end: RiseEnd,
  random: Random,
  draws: number,
  paces: Paces = {},
  model: RiseModel = usualRise,
): RiseDraws | undefined {
  const normal = normalDraws(random);
  const spread = (id: RiseDoubt): number => spreadOf(id, paces);
  const start = { dough: withPaces(dough, paces), end, model };
  const seen = Array.from({ length: draws }, () => {
    const by = rows.map(([id]) => normal() * spread(id));
    const of = rows.reduce((at, [, row], i) => row.moved(at, by[i]!), start);
    return { by, hours: riseUntil(of.dough, of.end, of.model).hours };
  });
  const there = seen.filter((s): s is { by: number[]; hours: number } => s.hours !== undefined);
  if (there.length < draws / 2) return undefined;
  const hours = there.map((s) => s.hours).sort((a, b) => a - b);
  const at = (share: number): number =>
    hours[Math.min(hours.length - 1, Math.floor(share * hours.length))]!;
  // The square of how each doubt goes together with the time, of all of them.
  const logs = there.map((s) => Math.log(s.hours));
  const mean = logs.reduce((sum, l) => sum + l, 0) / logs.length;
  const together = rows.map(([doubt], i) => {
    const product = there.reduce((sum, s, k) => sum + s.by[i]! * (logs[k]! - mean), 0);
    const square = there.reduce((sum, s) => sum + s.by[i]! ** 2, 0);
    return { doubt, of: square > 0 ? product ** 2 / square : 0 };
  });
  const all = together.reduce((sum, t) => sum + t.of, 0) || 1;
  return {
    hours,
    draws,
    low: at(0.1),
    middle: at(0.5),
    high: at(0.9),
    shares: together
      .map(({ doubt, of }) => ({ doubt, share: of / all }))
      .sort((a, b) => b.share - a.share),
  };
}
