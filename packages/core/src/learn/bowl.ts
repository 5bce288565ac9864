import { departure, varianceOf, without, type Belief } from '../belief/belief.ts';
import { slipOf } from './slip.ts';
import { conditioned, counted, updateBelief } from './update.ts';

/** One touch of a bowl: how far it stood from the forecast for that moment, and what the forecast leans on. */
export interface Touch {
  /** Points felt minus points forecast. */
  readonly residual: number;
  /** Points by which the level moves for one unit of each key. */
  readonly slopes: ReadonlyMap<string, number>;
  /** Spread of each key before any bake. */
  readonly priors: ReadonlyMap<string, number>;
  /** Points that one standard deviation of each of the bowl's own errors puts on the level. */
  readonly passing: ReadonlyMap<string, number>;
}

const square = (x: number): number => x * x;

/** How far the freest touch of a bowl, the first, is foreseen to lie from its forecast: variance, points². */
export function foreseenVariance(
  belief: Belief,
  { slopes, priors, passing }: Pick<Touch, 'slopes' | 'priors' | 'passing'>,
  feel: number,
): number {
  const noise = [...passing.values()].reduce((sum, p) => sum + square(p), square(feel));
  return noise + varianceOf(belief, slopes, priors);
}

/**
 * Whether a bowl stood so far from its forecast that something else is likelier to have happened: a spoon miscounted,
 * the wrong bag. Such a bake teaches little.
 *
 * @param foreseen variance with which its first touch was foreseen, points²
 * @example isOdd(0, 9) // false
 */
export const isOdd = (residual: number, foreseen: number): boolean =>
  slipOf(residual, foreseen).chance > 0.5;

/**
 * Learns from every touch of one bowl. What was weighed amiss and how damp the flour was that day are the
 * same at each of them, so they are learned as the touches go, and forgotten with the bowl; only the hand
 * errs anew. The last touch is the one that made the baker stop, and chosen by its own error: taken with
 * those before it, it tells no more than it knows.
 *
 * Source: the linear Gaussian model with parameters of one group left out of the result, e.g. Gelman et
 * al., Bayesian Data Analysis, chapters 5 and 14, from memory.
 *
 * @param touches in the order in which the hand came
 * @param feel standard deviation of one touch, points
 * @throws RangeError where neither a touch nor a bowl can err
 * @example learnFromTouches(belief, [], 1.5) // belief
 */
export function learnFromTouches(belief: Belief, touches: readonly Touch[], feel: number): Belief {
  if (touches.length === 0) return belief;
  const foreseen = foreseenVariance(belief, touches[0]!, feel);
  if (touches.length === 1) {
    // Alone it needs no telling apart of the bowl and the hand.
    const [{ residual, slopes, priors, passing }] = touches as [Touch];
    const noise = [...passing.values()].reduce((sum, p) => sum + square(p), square(feel));
    return updateBelief(belief, { residual, slopes, priors, noise, slips: true });
  }
  // A slip is of the bowl: every touch of it is believed as much less as the first is.
  const doubt = 1 / slipOf(touches[0]!.residual, foreseen).pull - foreseen;
  const bowl = new Set<string>();
  let now = belief;
  for (const { residual, slopes, priors, passing } of touches) {
    const all = new Map([...slopes, ...passing]);
    const learned = [...all].reduce(
      (sum, [key, slope]) => sum + slope * (departure(now, key) - departure(belief, key)),
      0,
    );
    now = conditioned(now, {
      residual: residual - learned,
      slopes: all,
      priors: new Map([...priors, ...[...passing.keys()].map((key) => [key, 1] as const)]),
      noise: square(feel) + doubt,
    });
    for (const key of passing.keys()) bowl.add(key);
  }
  // A bake is one bake, however often it was touched.
  const seen = new Map(touches.flatMap((t) => [...t.slopes].filter(([, slope]) => slope !== 0)));
  return without(counted(now, seen), bowl);
}
