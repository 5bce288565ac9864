import { oneSided } from './one-sided.ts';
import {
  ofStarter,
  riseDoubts,
  starterCovariance,
  type Pace,
  type RiseBand,
} from './rise-doubt.ts';

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
 * What one noted rise teaches of a leaven's pace; of a starter, of its temper too: what is noted in the warm tells of
 * another thing than what is noted in the cool. Where only one side is known, “not yet at five hours”, the
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
  if (!(hours > 0)) return before;
  const slopes =
    leaven === 'yeast' ? [band.slopes.yeast] : ofStarter.map((id) => band.slopes[id] ?? 0);
  if (slopes.every((s) => s === 0)) return before;
  const known = leaven === 'yeast' ? [[before.sd ** 2]] : starterCovariance(before);
  // All that the time is in doubt about, the other leaven's pace with it.
  const spread = Math.hypot(band.sd, 1e-6);
  const along = known.map((row) => row.reduce((sum, k, i) => sum + k * slopes[i]!, 0));
  const off = Math.log(hours / band.middle);
  const { lift, shrink } =
    sense === 'there' ? { lift: off / spread, shrink: 1 } : oneSided(off / spread, sense);
  const mean = along.map((a) => (a * lift) / spread);
  const after = known.map((row, i) =>
    row.map((k, j) => k - (along[i]! * along[j]! * shrink) / spread ** 2),
  );
  const pace = {
    mean: before.mean + mean[0]!,
    sd: Math.sqrt(Math.max(0, after[0]![0]!)),
  };
  if (leaven === 'yeast' || band.slopes.best === undefined) return pace;
  return {
    ...pace,
    temper: {
      best: (before.temper?.best ?? 0) + mean[1]!,
      most: (before.temper?.most ?? 0) + mean[2]!,
      together: [after[0]![1]!, after[0]![2]!, after[1]![1]!, after[1]![2]!, after[2]![2]!],
    },
  };
}
