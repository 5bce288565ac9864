import type { ResolvedLine } from '../formula/resolve.ts';
import { isBase, isDryBase, isFlour } from '../formula/totals.ts';
import { catalogueThirst, waterAccount, type WaterAccount } from './account.ts';
import { departure, doubtOf, fillKey, softeningKey, thirstKey, type Belief } from './belief.ts';
import { methods } from '../formula/measuring-method.ts';
import { isOwnCup } from '../ingredient/measure-weight.ts';
import { z80, type Coefficients } from './coefficients.ts';
import { measuringSd, type Measuring } from './measuring.ts';
import { absorptionSlope } from './moisture.ts';
import type { Room } from './weather.ts';

/** What the level is worked out in: how this household measures, its room, what its book taught. */
export interface Kitchen extends Measuring {
  readonly room: Room;
  /** ISO date. */
  readonly today?: string;
  readonly belief: Belief;
  readonly coefficients: Coefficients;
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
  /** Where the dough stands once everything has drunk its fill. */
  readonly points: number;
  /** Where it feels to be at the first touch, before slow drinkers have drunk. */
  readonly early: number;
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

/** Lines whose weight a person's way of filling a cup moves: not where the cup was weighed. */
const filledByHabit = (line: ResolvedLine, { measures }: Measuring): boolean => {
  const { by, fill } = methods[line.measured];
  return by === 'volume' && isFlour(line) && !isOwnCup(line.of, measures, fill);
};

/** The lines with what the person's habit of filling makes of them. */
export function asFilled(
  lines: readonly ResolvedLine[],
  kitchen: Kitchen,
): readonly ResolvedLine[] {
  const habit = departure(kitchen.belief, fillKey) + kitchen.coefficients.fillHabit.value;
  return habit === 0
    ? lines
    : lines.map((l) => (filledByHabit(l, kitchen) ? { ...l, grams: l.grams * (1 + habit) } : l));
}

/**
 * The dough level with its 80 % interval, by linear propagation of every doubt.
 *
 * @param given lines of the formula, slips included
 * @returns undefined where there is no base, so that no level can be told
 * @example strong flour 400, water 230, oil 27, sugar 25, milk powder 11: points −1.4, low −4.7, high 1.9
 */
export function level(given: readonly ResolvedLine[], kitchen: Kitchen): Level | undefined {
  const { belief, coefficients: table } = kitchen;
  const lines = asFilled(given, kitchen);
  const dryBase = isDryBase(lines);
  const inBase = lines.map((l) => isBase(l, dryBase));
  const base = lines.reduce((total, l, i) => total + (inBase[i] ? l.grams : 0), 0);
  if (!(base > 0)) return undefined;

  const account = waterAccount(lines, kitchen);
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
  const measured = new Map<string, number>();
  lines.forEach((line, i) => {
    const entry = account.entries[i]!;
    const perGram = perGramOf(entry.brings + entry.softens - entry.drinks, line.grams);
    const slope = (100 * perGram - (inBase[i] ? points : 0)) / base;
    const thirst = catalogueThirst(line.of, dryBase);
    if (thirst.sd > 0) {
      const perThirst = (-100 * entry.perStandard * line.grams) / base;
      lean(thirstKey(line), 'thirst', perThirst, thirst.sd, line.ingredient);
    }
    if (isFlour(line)) {
      const perPoint = (-absorptionSlope(100 * entry.thirst) * line.grams) / base;
      if (line.of.bag?.moisture === undefined) moisturePoints += perPoint;
      else measured.set(line.of.bag.id, (measured.get(line.of.bag.id) ?? 0) + perPoint);
    }
    if (filledByHabit(line, kitchen)) {
      lean(fillKey, 'habit', slope * line.grams, table.fillHabit.sd);
    }
    const error = Math.abs(slope) * measuringSd(line, kitchen);
    if (error > 0) {
      doubts.push({
        key: `line:${line.id}`,
        kind: 'measuring',
        ingredient: line.ingredient,
        points: error,
      });
    }
  });
  doubts.push({
    key: moistureKey,
    kind: 'moisture',
    points: moisturePoints * table.moistureSpread.value,
  });
  for (const [bag, perPoint] of measured) {
    doubts.push({
      key: `${moistureKey}:${bag}`,
      kind: 'moisture',
      points: perPoint * table.measuredMoisture.value,
    });
  }
  const softening = table.softening.value + departure(belief, softeningKey);
  if (account.softens > 0) {
    const perUnit = (100 * account.softens) / softening / base;
    lean(softeningKey, 'softening', perUnit, table.softening.sd);
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
    early: points + (100 * account.later) / base,
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

/** Key of the moisture of every bag that was not measured: the same air stands over all of them. */
export const moistureKey = 'moisture';
