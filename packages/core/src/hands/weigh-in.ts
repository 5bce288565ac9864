import type { ScaleReading } from '../machine/stand-in/reading.ts';

/** How what is being poured stands. */
type WeighStanding = 'waiting' | 'empty' | 'pouring' | 'over' | 'lifted' | 'in';

/** One thing being weighed into what lies on the scale already. */
export interface WeighIn {
  readonly standing: WeighStanding;
  /** Grams of it so far. */
  readonly grams: number;
  /** What the scale showed before it. */
  readonly from?: number;
  /** Since when it has lain still near its mark, ms of the scale. */
  readonly near?: number;
}

export const notWeighed: WeighIn = { standing: 'waiting', grams: 0 };

/** It lies still for so long before it counts as in, ms. Own choice, no source. */
const restsFor = 900;
/** Less than what was there by more than this: somebody lifted the bowl, grams. Own choice, no source. */
const liftedBy = 15;
/** A mark is met within this share of it. Handbook section 8: 2 % of flour is felt. */
const nearShare = 0.01;

/** How near a mark is met, grams: a step of the scale, or one per cent; and never as near to nothing. */
const nearEnough = (target: number, step: number): number =>
  Math.min(target / 2, Math.max(step, target * nearShare));

/** So little that the scale does not show it: it goes in by the spoon. */
export const tooLittleFor = (target: number, step: number): boolean => target < step;

/**
 * What a reading of the scale makes of what is being poured. The scale's own zero is not touched: what lay
 * there before is counted off, so that a bowl that is lifted and put back goes on where it was.
 *
 * @param target grams of it that are wanted
 * @param step of the scale, grams
 * @example weighInNext(notWeighed, {at: 0, grams: 350, settled: true, over: false}, 245, 1).from // 350
 */
export function weighInNext(
  before: WeighIn,
  { at, grams: shown, settled }: ScaleReading,
  target: number,
  step: number,
): WeighIn {
  if (before.from === undefined) {
    return settled ? { standing: 'empty', grams: 0, from: shown } : notWeighed;
  }
  const { from } = before;
  // Tenths are not tenths in binary.
  const grams = Math.round((shown - from) * 100) / 100;
  const near = nearEnough(target, step);
  if (grams < -Math.max(liftedBy, near)) return { standing: 'lifted', grams: 0, from };
  if (grams > target + near) return { standing: settled ? 'over' : 'pouring', grams, from };
  if (grams < target - near) return { standing: grams > near ? 'pouring' : 'empty', grams, from };
  if (!settled) return { standing: 'pouring', grams, from };
  const since = before.near ?? at;
  return at - since >= restsFor
    ? { standing: 'in', grams, from, near: since }
    : { standing: 'pouring', grams, from, near: since };
}
