import { normalBelow, normalDensity } from '../quantity/normal.ts';
import { riseDoubts, type Pace, type RiseBand } from './rise-doubt.ts';

/** What was noted of a rise: it was there at that hour, or not yet, or past it already. */
interface NotedRise {
  readonly hours: number;
  readonly sense: 'there' | 'not-yet' | 'past';
}

/** What is believed of a leaven that nothing was noted of. */
export const freshPace = (leaven: 'yeast' | 'starter'): Pace => ({
  mean: 0,
  sd: riseDoubts[leaven].sd.value,
});

/**
 * What one noted rise teaches of a leaven's pace. Where only one side is known, “not yet at five hours”, the
 * forecast is cut off there, and what is left of it is taken for a normal of the same mean and spread.
 *
 * Source: the linear Gaussian model, and the moments of the truncated normal, e.g. Johnson, Kotz &
 * Balakrishnan, Continuous Univariate Distributions, chapter 13, from memory.
 *
 * @param band the forecast that was, made with that pace
 * @returns the pace afterwards; never wider than before
 * @example learnPace({mean: 0, sd: .2}, band of 5 h, 'starter', {hours: 4, sense: 'there'}).mean // above 0: it was faster
 */
export function learnPace(
  before: Pace,
  band: RiseBand,
  leaven: 'yeast' | 'starter',
  { hours, sense }: NotedRise,
): Pace {
  const slope = band.slopes[leaven];
  if (slope === 0 || !(hours > 0)) return before;
  const variance = before.sd ** 2;
  // All that the time is in doubt about, the other leaven's pace with it.
  const spread = Math.hypot(band.sd, 1e-6);
  const gain = (slope * variance) / spread ** 2;
  const off = Math.log(hours / band.middle);
  if (sense === 'there') {
    return {
      mean: before.mean + gain * off,
      sd: Math.sqrt(Math.max(0, variance - gain * slope * variance)),
    };
  }
  const side = sense === 'not-yet' ? 1 : -1;
  const cut = (side * off) / spread;
  const left = 1 - normalBelow(cut);
  // Far past what was thought possible, the line itself is the best guess.
  const lift = left > 1e-9 ? normalDensity(cut) / left : cut;
  const shrink = Math.min(1, Math.max(0, lift * (lift - cut)));
  return {
    mean: before.mean + gain * side * spread * lift,
    sd: Math.sqrt(Math.max(0, variance - gain * slope * variance * shrink)),
  };
}
