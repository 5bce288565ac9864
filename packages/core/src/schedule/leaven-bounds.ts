import type { LeavenKind } from '../ferment/leaven-for.ts';
import { isSour } from '../ferment/ripe-end.ts';
import type { RisingDough } from '../ferment/rise.ts';

/** Whether yeast raises a dough, or its starter. */
export const kindOf = (dough: RisingDough): LeavenKind => (isSour(dough) ? 'starter' : 'yeast');

/** Ends of what a leaven is moved within to fit a time. */
interface LeavenWithin {
  /** Instant yeast or a starter's flour, % of all flour. */
  readonly percent: readonly [least: number, most: number];
  /** Times what its recipe has. */
  readonly times: readonly [least: number, most: number];
}

/** What a baker would do to fit a time: more than that tastes of it, less is not the same bread. Common practice, no source. */
const leavenWithin: Readonly<Record<LeavenKind, LeavenWithin>> = {
  yeast: { percent: [0.04, 2], times: [0.1, 2] },
  starter: { percent: [4, 35], times: [0.25, 1.75] },
};

/**
 * The least and the most leaven that a dough is made with to fit a time, % of its flour: what it has is always among it.
 *
 * @example boundsFor(dough of 1 % instant) // [.1, 2]
 */
export function boundsFor(dough: RisingDough): readonly [least: number, most: number] {
  const kind = kindOf(dough);
  const { percent, times } = leavenWithin[kind];
  const [least, most] = percent.map((p, i) => {
    const own = dough[kind] * times[i]!;
    return i === 0 ? Math.max(p, own) : Math.min(p, own);
  }) as [number, number];
  return [Math.min(least, dough[kind]), Math.max(most, dough[kind])];
}
