import { methods } from '../formula/measuring-method.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { isBase, isDryBase, isFlour } from '../formula/totals.ts';
import { isOwnCup } from '../ingredient/measure-weight.ts';
import { roles } from '../ingredient/role.ts';
import { normalBelow } from '../quantity/normal.ts';
import { normalDraws, type Random } from '../quantity/seeded-random.ts';
import { catalogueThirst, moistureOf } from './account.ts';
import { departure, fillKey, softeningKey, thirstKey } from './belief.ts';
import { moistureKey, type Doubt, type Kitchen } from './level.ts';
import { measuringSd } from './measuring.ts';
import { standardMoisture } from './moisture.ts';
import type { Window } from './window.ts';

/** What one doubt has in the spread of the level. */
export interface DoubtShare extends Pick<Doubt, 'key' | 'kind' | 'ingredient'> {
  /** Line that it is of, for doubts of measuring. */
  readonly line?: string;
  /** First-order share of the variance: what would go if this one thing were known. 0 to 1. */
  readonly share: number;
}

/** A level drawn many times over, from everything that is not surely known. */
export interface Simulation {
  readonly draws: number;
  readonly mean: number;
  readonly sd: number;
  /** Ends of the 80 % interval: the tenth and the ninetieth percentile. */
  readonly low: number;
  readonly high: number;
  /** Share of the draws that land in the window. */
  readonly chance: number;
  /** Counts of draws over equal stretches from `from` to `to`. */
  readonly histogram: {
    readonly from: number;
    readonly to: number;
    readonly counts: readonly number[];
  };
  /** Largest first. */
  readonly shares: readonly DoubtShare[];
}

/** One thing that is drawn, with the levels that came of it by the bin of its own distribution. */
interface Factor extends Omit<DoubtShare, 'share'> {
  readonly counts: Float64Array;
  readonly sums: Float64Array;
}

const bins = 24;
/** A lookup from a standard normal to its bin of equal chance; finer than any bin. */
const cells = 1400;
const reach = 3.5;
const binOfCell = Uint8Array.from({ length: cells + 1 }, (_, i) => {
  const z = (i / cells) * 2 * reach - reach;
  return Math.min(bins - 1, Math.floor(normalBelow(z) * bins));
});
const binOf = (z: number): number => {
  const at = ((z + reach) / (2 * reach)) * cells;
  return binOfCell[at < 0 ? 0 : at > cells ? cells : at | 0]!;
};

const factor = (of: Omit<DoubtShare, 'share'>): Factor => ({
  ...of,
  counts: new Float64Array(bins),
  sums: new Float64Array(bins),
});

/** Lower triangle of a covariance's square root. Source: Cholesky's decomposition. */
function squareRoot(covariance: readonly (readonly number[])[]): number[][] {
  const root: number[][] = [];
  covariance.forEach((row, i) => {
    root.push([]);
    for (let j = 0; j <= i; j += 1) {
      let rest = row[j]!;
      for (let k = 0; k < j; k += 1) rest -= root[i]![k]! * root[j]![k]!;
      root[i]!.push(
        i === j ? Math.sqrt(Math.max(rest, 0)) : root[j]![j]! > 0 ? rest / root[j]![j]! : 0,
      );
    }
  });
  return root;
}

/**
 * Draws the level many times over: every mass by its measuring error, every thirst by what is believed
 * of it (with its ties to others), the moisture of the bags, the softening, the person's way of filling
 * a cup. Not linear: masses and thirsts never fall below nothing, and a base that varies divides.
 *
 * The variance shares are first-order indices estimated from the draws themselves, as the variance of
 * the means over bins of equal chance. Source: Plischke, Borgonovo & Smith 2013, given-data estimation.
 *
 * @param draws 100 or more; 20,000 give the ends of the interval to about a twentieth of a point
 * @yields the share that is done, every `every` draws: the place to stop, or to tell of progress
 * @returns the simulation, or undefined where there is no base
 */
export function* simulateLevel(
  lines: readonly ResolvedLine[],
  kitchen: Kitchen,
  window: Window,
  { draws, random, every = 1000 }: { draws: number; random: Random; every?: number },
): Generator<number, Simulation | undefined> {
  const { belief, coefficients: table } = kitchen;
  const dryBase = isDryBase(lines);
  const count = lines.length;
  const grams = Float64Array.from(lines, (l) => l.grams);
  const spread = Float64Array.from(lines, (l) => measuringSd(l, kitchen));
  const brings = Float64Array.from(lines, ({ of }) =>
    roles[of.role].bringsWater ? of.composition.water / 100 : 0,
  );
  const softens = Float64Array.from(lines, ({ of }) =>
    roles[of.role].softens ? (of.composition.sugars + of.composition.fat) / 100 : 0,
  );
  const base = Uint8Array.from(lines, (l) => Number(isBase(l, dryBase)));
  const flour = lines.map(isFlour);
  const thirst = Float64Array.from(lines, (l) => catalogueThirst(l.of, dryBase).value);
  const byHabit = Uint8Array.from(lines, (l, i) => {
    const { by, fill } = methods[l.measured];
    return Number(by === 'volume' && flour[i]! && !isOwnCup(l.of, kitchen.measures, fill));
  });
  if (!lines.some((l, i) => base[i] && l.grams > 0)) return undefined;

  // What is drawn: first the things that bakes teach about, then moistures, then masses.
  const priors = new Map<string, { sd: number; factor: Factor }>();
  lines.forEach((l) => {
    const { sd } = catalogueThirst(l.of, dryBase);
    const key = thirstKey(l);
    if (sd > 0 && l.grams > 0 && !priors.has(key)) {
      priors.set(key, { sd, factor: factor({ key, kind: 'thirst', ingredient: l.ingredient }) });
    }
  });
  if (softens.some((s, i) => s > 0 && grams[i]! > 0)) {
    const known = factor({ key: softeningKey, kind: 'softening' });
    priors.set(softeningKey, { sd: table.softening.sd, factor: known });
  }
  if (byHabit.some((b) => b === 1)) {
    priors.set(fillKey, {
      sd: table.fillHabit.sd,
      factor: factor({ key: fillKey, kind: 'habit' }),
    });
  }
  const keys = [...priors.keys()];
  const learned = keys.map((key) => belief.keys.indexOf(key));
  const covariance = keys.map((key, i) =>
    keys.map((_, j) => {
      const [a, b] = [learned[i]!, learned[j]!];
      if (a >= 0 && b >= 0) return belief.covariance[a]![b]!;
      return i === j ? priors.get(key)!.sd ** 2 : 0;
    }),
  );
  const root = squareRoot(covariance);
  const middle = keys.map((key) => departure(belief, key));
  const sds = covariance.map((row, i) => Math.sqrt(row[i]!));
  const keyFactors = keys.map((key) => priors.get(key)!.factor);
  const keyOf = Int16Array.from(lines, (l) => keys.indexOf(thirstKey(l)));
  const softeningAt = keys.indexOf(softeningKey);
  const habitAt = keys.indexOf(fillKey);

  const moistures = new Map<string, { sd: number; factor: Factor }>();
  const moistureFactor = lines.map((l, i) => {
    if (!flour[i] || l.grams === 0) return -1;
    const measured = l.of.bag?.moisture !== undefined;
    const key = measured ? `${moistureKey}:${l.of.bag!.id}` : moistureKey;
    if (!moistures.has(key)) {
      const sd = (measured ? table.measuredMoisture : table.moistureSpread).value;
      moistures.set(key, {
        sd,
        factor: factor({
          key,
          kind: 'moisture',
          ...(measured ? { ingredient: l.ingredient } : {}),
        }),
      });
    }
    return [...moistures.keys()].indexOf(key);
  });
  const moistureRows = [...moistures.values()];
  const moistureMiddle = Float64Array.from(lines, (l, i) =>
    flour[i] ? moistureOf(l.of, kitchen) : standardMoisture,
  );
  const massFactors = lines.map((l, i) =>
    spread[i]! > 0 && l.grams > 0
      ? factor({ key: `line:${l.id}`, kind: 'measuring', ingredient: l.ingredient, line: l.id })
      : undefined,
  );

  const normal = normalDraws(random);
  const levels = new Float64Array(draws);
  const z = new Float64Array(keys.length);
  const value = new Float64Array(keys.length);
  const wet = new Float64Array(moistureRows.length);
  const keyBins = new Int8Array(keys.length);
  const wetBins = new Int8Array(moistureRows.length);
  const massBins = new Int8Array(count);

  /** One draw. A plain function: a generator's own loop would be compiled late. */
  const draw = (n: number): void => {
    for (let i = 0; i < keys.length; i += 1) z[i] = normal();
    for (let i = 0; i < keys.length; i += 1) {
      let drawn = 0;
      const row = root[i]!;
      for (let j = 0; j <= i; j += 1) drawn += row[j]! * z[j]!;
      value[i] = middle[i]! + drawn;
      keyBins[i] = binOf(sds[i]! > 0 ? drawn / sds[i]! : 0);
    }
    for (let i = 0; i < moistureRows.length; i += 1) {
      const drawn = normal();
      wet[i] = drawn * moistureRows[i]!.sd;
      wetBins[i] = binOf(drawn);
    }
    const soft = table.softening.value + (softeningAt < 0 ? 0 : value[softeningAt]!);
    const habit = 1 + table.fillHabit.value + (habitAt < 0 ? 0 : value[habitAt]!);
    let surplus = 0;
    let total = 0;
    for (let i = 0; i < count; i += 1) {
      let mass = grams[i]!;
      if (massFactors[i]) {
        const drawn = normal();
        mass += spread[i]! * drawn;
        massBins[i] = binOf(drawn);
      }
      if (byHabit[i]) mass *= habit;
      if (mass <= 0) continue;
      let drinks = thirst[i]!;
      if (drinks > 0) {
        if (keyOf[i]! >= 0) drinks += value[keyOf[i]!]!;
        if (drinks < 0) drinks = 0;
        if (flour[i]) {
          const moisture = moistureMiddle[i]! + wet[moistureFactor[i]!]!;
          drinks = ((1 + drinks) * (100 - moisture)) / (100 - standardMoisture) - 1;
        }
      }
      surplus += mass * (brings[i]! + soft * softens[i]! - drinks);
      if (base[i]) total += mass;
    }
    const at = total > 0 ? (100 * surplus) / total : 0;
    levels[n] = at;
    for (let i = 0; i < keys.length; i += 1) note(keyFactors[i]!, keyBins[i]!, at);
    for (let i = 0; i < moistureRows.length; i += 1) note(moistureRows[i]!.factor, wetBins[i]!, at);
    for (let i = 0; i < count; i += 1) {
      if (massFactors[i]) note(massFactors[i]!, massBins[i]!, at);
    }
  };

  for (let n = 0; n < draws; n += every) {
    const end = Math.min(draws, n + every);
    for (let i = n; i < end; i += 1) draw(i);
    yield end / draws;
  }

  const factors = [
    ...keyFactors,
    ...moistureRows.map((m) => m.factor),
    ...massFactors.filter((f) => f !== undefined),
  ];
  return summary(levels, factors, window);
}

function note(of: Factor, bin: number, at: number): void {
  of.counts[bin]! += 1;
  of.sums[bin]! += at;
}

/** Stretches of the histogram. */
const stretches = 48;

function summary(levels: Float64Array, factors: readonly Factor[], window: Window): Simulation {
  const draws = levels.length;
  let sum = 0;
  for (const at of levels) sum += at;
  const mean = sum / draws;
  let squares = 0;
  let inside = 0;
  for (const at of levels) {
    squares += (at - mean) ** 2;
    if (at >= window[0] && at <= window[1]) inside += 1;
  }
  const variance = squares / (draws - 1);
  levels.sort();
  const at = (share: number) => levels[Math.min(draws - 1, Math.floor(share * draws))]!;
  const [from, to] = [at(0.002), at(0.998)];
  const counts = Array.from({ length: stretches }, () => 0);
  for (const level of levels) {
    const bin = Math.floor(((level - from) / (to - from || 1)) * stretches);
    if (bin >= 0 && bin < stretches) counts[bin]! += 1;
  }
  const shares = factors
    .map(({ counts: inBin, sums, ...of }): DoubtShare => {
      let between = 0;
      inBin.forEach((n, i) => {
        if (n > 0) between += n * (sums[i]! / n - mean) ** 2;
      });
      // Means over bins vary by chance alone as well: that much is taken off.
      const byChance = ((bins - 1) * variance) / draws;
      const share = variance > 0 ? (between / draws - byChance) / variance : 0;
      return { ...of, share: Math.min(1, Math.max(0, share)) };
    })
    .sort((a, b) => b.share - a.share);
  return {
    draws,
    mean,
    sd: Math.sqrt(variance),
    low: at(0.1),
    high: at(0.9),
    chance: inside / draws,
    histogram: { from, to, counts },
    shares,
  };
}

/** Runs a simulation to its end in one go. */
export function simulate(...given: Parameters<typeof simulateLevel>): Simulation | undefined {
  const run = simulateLevel(...given);
  let step = run.next();
  while (!step.done) step = run.next();
  return step.value;
}
