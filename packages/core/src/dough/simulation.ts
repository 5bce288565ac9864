import type { ResolvedLine } from '../formula/resolve.ts';
import { normalBelow } from '../quantity/normal.ts';
import { normalDraws, type Random } from '../quantity/seeded-random.ts';
import { DoughSampler } from './dough-sampler.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import type { Doubt } from './level.ts';
import type { Parameter } from './parameter.ts';
import type { Window } from '../style/style.ts';

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
  /** Share of the draws that land in the window, its ends taken as sure: a bread’s chance counts their doubt, see verdict. */
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

const factor = ({ key, kind, ingredient, line }: Parameter): Factor => ({
  key,
  kind,
  ingredient,
  line,
  counts: new Float64Array(bins),
  sums: new Float64Array(bins),
});

/**
 * Draws the level many times over: every mass by its measuring error, every absorption by what is believed
 * of it (with its ties to others), the moisture of the bags, the softening, the person's way of filling
 * a cup. Not linear: masses and absorptions never fall below nothing, and a base that varies divides.
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
  const sampler = new DoughSampler(lines, kitchen);
  if (!sampler.hasBase) return undefined;
  const factors = sampler.parameters.map(factor);
  const normal = normalDraws(random);
  const levels = new Float64Array(draws);

  /** A plain function: a generator's own loop would be compiled late. */
  const draw = (n: number): void => {
    const at = sampler.draw(normal);
    levels[n] = at;
    for (let i = 0; i < factors.length; i += 1) note(factors[i]!, binOf(sampler.z[i]!), at);
  };

  for (let n = 0; n < draws; n += every) {
    const end = Math.min(draws, n + every);
    for (let i = n; i < end; i += 1) draw(i);
    yield end / draws;
  }
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
