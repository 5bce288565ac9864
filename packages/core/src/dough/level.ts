import type { ResolvedLine } from '../formula/resolve.ts';
import { isBase, isDryBase, isFlour } from '../formula/totals.ts';
import { catalogueThirst, waterAccount, type WaterAccount } from './account.ts';
import {
  departure,
  doubtOf,
  fillKey,
  nothingLearned,
  softeningKey,
  thirstKey,
  type Belief,
} from './belief.ts';
import { coefficients, z80 } from './coefficients.ts';
import { measuringSd, type Measuring } from './measuring.ts';
import { absorptionSlope } from './moisture.ts';
import { moistureShift, moistureSpread, type Room } from './weather.ts';

/** What the level is worked out in: how this household measures, its room, what its book taught. */
export interface Kitchen extends Measuring {
  readonly room: Room;
  readonly belief: Belief;
}

/** One thing that is not surely known, and what it does to the level. */
export interface Doubt {
  /** Key in the belief, or `line:…`, or `moisture`. */
  readonly key: string;
  readonly kind: 'thirst' | 'habit' | 'measuring' | 'moisture' | 'softening';
  readonly ingredient?: string;
  /** Standard deviation that it puts on the level, in points. */
  readonly points: number;
}

export interface Level {
  readonly points: number;
  readonly sd: number;
  /** Ends of the 80 % interval. */
  readonly low: number;
  readonly high: number;
  /** Points by which the level moves for one unit of each learnable key. */
  readonly slopes: ReadonlyMap<string, number>;
  /** Catalogue's standard deviation of each learnable key. */
  readonly priors: ReadonlyMap<string, number>;
  /** Variance of the level from what is drawn anew at every bake: fills of the cup, weather. */
  readonly passingVariance: number;
  /** Largest first. */
  readonly doubts: readonly Doubt[];
  readonly account: WaterAccount;
  readonly baseGrams: number;
}

/** Lines whose weight a person's way of filling a cup moves. */
const filledByHabit = (line: ResolvedLine): boolean => line.measured === 'volume' && isFlour(line);

/**
 * The dough level with its 80 % interval, by linear propagation of every doubt.
 *
 * @param given lines of the formula, slips included
 * @returns undefined where there is no base, so that no level can be told
 * @example strong flour 400, water 230, oil 27, sugar 25, milk powder 11: points −1.4, low −4.7, high 1.9
 */
export function level(given: readonly ResolvedLine[], kitchen: Kitchen): Level | undefined {
  const { belief, room } = kitchen;
  const habit = departure(belief, fillKey);
  const lines =
    habit === 0
      ? given
      : given.map((l) => (filledByHabit(l) ? { ...l, grams: l.grams * (1 + habit) } : l));
  const dryBase = isDryBase(lines);
  const inBase = lines.map((l) => isBase(l, dryBase));
  const base = lines.reduce((total, l, i) => total + (inBase[i] ? l.grams : 0), 0);
  if (!(base > 0)) return undefined;

  const account = waterAccount(lines, belief, moistureShift(room));
  const points = (100 * (account.brings + account.softens - account.drinks)) / base;
  const slopes = new Map<string, number>();
  const priors = new Map<string, number>();
  const learnable = new Map<string, Doubt['kind']>();
  const names = new Map<string, string>();
  const lean = (key: string, kind: Doubt['kind'], slope: number, prior: number, of?: string) => {
    slopes.set(key, (slopes.get(key) ?? 0) + slope);
    priors.set(key, prior);
    learnable.set(key, kind);
    if (of) names.set(key, of);
  };

  const doubts: Doubt[] = [];
  let moisturePoints = 0;
  lines.forEach((line, i) => {
    const entry = account.entries[i]!;
    const perGram = perGramOf(entry.brings + entry.softens - entry.drinks, line.grams);
    const slope = (100 * perGram - (inBase[i] ? points : 0)) / base;
    const thirst = catalogueThirst(line.ingredient, dryBase);
    if (thirst.sd > 0) {
      lean(thirstKey(line), 'thirst', (-100 * line.grams) / base, thirst.sd, line.ingredient);
    }
    if (isFlour(line)) {
      moisturePoints -= (absorptionSlope(100 * entry.thirst) * line.grams) / base;
    }
    if (filledByHabit(line)) {
      lean(fillKey, 'habit', slope * line.grams, coefficients.fillHabit.sd);
    }
    const measured = Math.abs(slope) * measuringSd(line, kitchen);
    if (measured > 0) {
      doubts.push({
        key: `line:${line.id}`,
        kind: 'measuring',
        ingredient: line.ingredient,
        points: measured,
      });
    }
  });
  doubts.push({ key: 'moisture', kind: 'moisture', points: moisturePoints * moistureSpread.value });
  const softening = coefficients.softening.value + departure(belief, softeningKey);
  if (account.softens > 0) {
    const perUnit = (100 * account.softens) / softening / base;
    lean(softeningKey, 'softening', perUnit, coefficients.softening.sd);
  }

  const passingVariance = doubts.reduce((total, d) => total + d.points ** 2, 0);
  const sd = Math.sqrt(passingVariance + learnedVariance(slopes, priors, belief));
  for (const [key, kind] of learnable) {
    const own = Math.abs(slopes.get(key)!) * doubtOf(belief, key, priors.get(key)!);
    doubts.push({ key, kind, ingredient: names.get(key), points: own });
  }
  doubts.sort((a, b) => b.points - a.points);
  return {
    points,
    sd,
    low: points - z80 * sd,
    high: points + z80 * sd,
    slopes,
    priors,
    passingVariance,
    doubts: doubts.filter((d) => d.points > 0),
    account,
    baseGrams: base,
  };
}

const perGramOf = (grams: number, mass: number): number => (mass > 0 ? grams / mass : 0);

/** gᵀΣg over what has been learned, with the catalogue's spread for what has not. */
function learnedVariance(
  slopes: ReadonlyMap<string, number>,
  priors: ReadonlyMap<string, number>,
  belief: Belief,
): number {
  let variance = 0;
  const seen: Array<readonly [number, number]> = [];
  for (const [key, slope] of slopes) {
    const at = belief.keys.indexOf(key);
    if (at < 0) variance += (slope * priors.get(key)!) ** 2;
    else seen.push([at, slope]);
  }
  for (const [i, a] of seen) {
    for (const [j, b] of seen) variance += a * b * belief.covariance[i]![j]!;
  }
  return variance;
}

/** A kitchen about which nothing is known but how it measures. */
export const plainKitchen = (measuring: Measuring): Kitchen => ({
  ...measuring,
  room: {},
  belief: nothingLearned,
});
