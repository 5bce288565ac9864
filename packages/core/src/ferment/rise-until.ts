import { riseFor, usualRise, type RiseModel, type RisePoint, type RisingDough } from './rise.ts';
import { solvedOnce } from './solved-once.ts';

/** What ends a rise: a volume, in times that without gas, or so much gas made. */
export type RiseEnd = { readonly volume: number } | { readonly gas: number };

/** When a rise comes to its end, or how far it comes. */
export type RiseTime =
  | { readonly hours: number; readonly celsius: number }
  | { readonly hours?: undefined; readonly reaches: number; readonly atHours: number };

/** Nobody waits longer, hours. */
export const longestRise = 120;

const doneOf =
  (end: RiseEnd) =>
  (of: RisePoint): number =>
    'volume' in end ? of.volume - end.volume : of.gas - end.gas;

/**
 * When a dough comes to an end of its rise.
 *
 * @param most hours to wait at the longest
 * @returns hours from its start; where it never comes there, the furthest that it comes and when
 * @example riseUntil(doughOfOnePerCent, {volume: 2}).hours // 1.2
 */
export function riseUntil(
  dough: RisingDough,
  end: RiseEnd,
  model: RiseModel = usualRise,
  most = longestRise,
): RiseTime {
  return solvedOnce(model, `until ${JSON.stringify([dough, end, most])}`, () =>
    solved(dough, end, model, most),
  );
}

function solved(dough: RisingDough, end: RiseEnd, model: RiseModel, most: number): RiseTime {
  const done = doneOf(end);
  let found: { hours: number; celsius: number } | undefined;
  let furthest = { reaches: 'volume' in end ? (dough.fromVolume ?? 1) : 0, atHours: 0 };
  riseFor(dough, most, model, (at, before) => {
    const [now, was] = [done(at), done(before)];
    if (was >= 0) {
      found = { hours: before.hours, celsius: before.celsius };
      return true;
    }
    if (now >= 0) {
      // Between two steps of a minute and a half the rise is as good as straight.
      const part = was / (was - now);
      found = {
        hours: before.hours + part * (at.hours - before.hours),
        celsius: before.celsius + part * (at.celsius - before.celsius),
      };
      return true;
    }
    const reached = 'volume' in end ? at.volume : at.gas;
    if (reached > furthest.reaches + 1e-6) furthest = { reaches: reached, atHours: at.hours };
    return false;
  });
  return found ?? furthest;
}
