import { figure } from '../figure/figure.ts';
import { normalDraws, seededRandom } from '../quantity/seeded-random.ts';

/** What one column is found to be: how likely it does anything, and how often chance alone looks as clear. */
export interface Cause {
  /** The chance that it does anything, 0 to 1. */
  readonly chance: number;
  /** What it does, where it does anything, as the weighed mean over all sets that hold it. */
  readonly mean: number;
  /** Share of books in which nothing helps that look as clear. */
  readonly alike: number;
}

const own = 'own model, judged on drawn books';
/** A bread gets better or worse by itself, and wanders: variance of it beside the noise of one bake. */
const trend = figure(8, 'noise² over the whole book', 4, own);
const wandering = figure(0.3, 'noise² over the whole book', 0.15, own);
/** The level itself is anywhere. */
const anywhere = 1000;
/** What one change may do, beside the noise of one bake: variance. */
const effect = figure(1.5, 'noise²', 0.5, own);
/** Bakes that the prior of the noise counts as. */
const noiseBakes = 4;
/** Books of nothing that each result is held against. */
const books = 599;
/** So many columns are weighed in every set; of more only sets of a few, and of very many the first. Own choice, no source. */
const allSets = 6;
const fewAtOnce = 3;
export const mostColumns = 10;

type Column = readonly number[];

/** Lower factor of a positive matrix. */
function cholesky(of: readonly (readonly number[])[]): number[][] {
  const factor = of.map((row) => row.map(() => 0));
  for (let i = 0; i < of.length; i += 1)
    for (let j = 0; j <= i; j += 1) {
      let rest = of[i]![j]!;
      for (let k = 0; k < j; k += 1) rest -= factor[i]![k]! * factor[j]![k]!;
      factor[i]![j] = i === j ? Math.sqrt(rest) : rest / factor[j]![j]!;
    }
  return factor;
}

/** Solves a lower factor against a column. */
function forward(factor: readonly (readonly number[])[], by: Column): number[] {
  const found: number[] = [];
  for (let i = 0; i < by.length; i += 1) {
    let rest = by[i]!;
    for (let k = 0; k < i; k += 1) rest -= factor[i]![k]! * found[k]!;
    found.push(rest / factor[i]![i]!);
  }
  return found;
}

const dot = (a: Column, b: Column): number => a.reduce((sum, x, i) => sum + x * b[i]!, 0);

/** Level, trend and wandering of so many bakes, as the covariance that they put on them beside their noise. */
const drifting = (n: number): number[][] =>
  Array.from({ length: n }, (_, i) =>
    Array.from({ length: n }, (_, j) => {
      const [a, b] = [i, j].map((k) => (n > 1 ? k / (n - 1) : 0) - 0.5) as [number, number];
      return (
        (i === j ? 1 : 0) +
        anywhere +
        trend.value * a * b +
        (wandering.value * (Math.min(i, j) + 1)) / n
      );
    }),
  );

/** What all that was not asked about has together of being at work, where something was asked. */
const besidesAsked = 0.3;

/** How likely a change does anything before any bake. */
const priorOf = (column: number, columns: number, asked: number | undefined): number =>
  asked === undefined
    ? Math.min(0.5, 1 / columns)
    : column === asked
      ? 0.5
      : Math.min(0.3, besidesAsked / Math.max(1, columns - 1));

/** Every set of so many columns that is weighed. */
function setsOf(columns: number): number[][] {
  const most = columns <= allSets ? columns : fewAtOnce;
  const sets: number[][] = [[]];
  for (let c = 0; c < columns; c += 1)
    for (const set of [...sets]) if (set.length < most) sets.push([...set, c]);
  return sets;
}

/** One set with all of it that is the same for every book. */
interface Weighed {
  readonly set: readonly number[];
  readonly factor: readonly (readonly number[])[];
  /** Logarithm of its prior and of the determinant. */
  readonly before: number;
}

/**
 * Which of some changes do anything, weighed exactly over every set of them: level, trend and wandering of the bread are
 * always in, so that a baker who simply improves finds no cause in it; and each result is held against books in which
 * nothing does anything.
 *
 * Source: Bayesian variable selection with conjugate priors, e.g. George & McCulloch 1997; a test by the largest of many, e.g.
 * Westfall & Young, Resampling-Based Multiple Testing, from memory.
 *
 * @param columns of each change, 0 as usual and 1 changed, by bake; no two of them nearly alike, at most {@link mostColumns}
 * @param outcome of each bake, in their order
 * @param noise of one bake, in the unit of the outcome
 * @param asked place of the column that was asked about beforehand: it is as likely as not, and held against its own chance in
 *   books of nothing, as nobody went through the others to find it
 * @example causes([[0, 0, 0, 0, 0, 1, 1, 1, 1, 1]], [3, 3, 3, 3, 3, 5, 5, 5, 5, 5], .8)[0].chance > .5 // true
 */
export function causes(
  columns: readonly Column[],
  outcome: Column,
  noise: number,
  asked?: number,
): Cause[] {
  const n = outcome.length;
  if (columns.length === 0) return [];
  const whitens = cholesky(drifting(n));
  const z = columns.map((c) => forward(whitens, c));
  const y = forward(whitens, outcome);
  const cross = z.map((a) => z.map((b) => dot(a, b)));
  const shares = columns.map((_, i) => priorOf(i, columns.length, asked));
  const sets = setsOf(columns.length).map((set): Weighed => {
    const factor = cholesky(
      set.map((a, i) => set.map((b, j) => (i === j ? 1 : 0) + effect.value * cross[a]![b]!)),
    );
    const halfDeterminant = factor.reduce((sum, row, i) => sum + Math.log(row[i]!), 0);
    const prior = shares.reduce(
      (sum, share, i) => sum + Math.log(set.includes(i) ? share : 1 - share),
      0,
    );
    return { set, factor, before: prior - halfDeterminant };
  });
  /** How likely each column is in, of one book. */
  const chancesOf = (book: Column): { chances: number[]; weights: number[] } => {
    const all = dot(book, book);
    const ties = z.map((column) => dot(column, book));
    const logs = sets.map(({ set, factor, before }) => {
      const solved = forward(
        factor,
        set.map((c) => ties[c]!),
      );
      const left = all - effect.value * dot(solved, solved);
      return before - ((n + noiseBakes - 1) / 2) * Math.log(noiseBakes * noise ** 2 + left);
    });
    const most = Math.max(...logs);
    const raw = logs.map((l) => Math.exp(l - most));
    const sum = raw.reduce((s, w) => s + w, 0);
    const weights = raw.map((w) => w / sum);
    const chances = columns.map((_, c) =>
      sets.reduce((s, { set }, i) => s + (set.includes(c) ? weights[i]! : 0), 0),
    );
    return { chances, weights };
  };
  const { chances, weights } = chancesOf(y);
  const means = meansOf(sets, weights, z, y);
  // Books of nothing, as far from nothing as this one.
  const normal = normalDraws(seededRandom(n * 31 + columns.length));
  const length = Math.sqrt(dot(y, y));
  const nothing = Array.from({ length: books }, () => {
    const drawn = y.map(() => normal());
    const scale = length / Math.sqrt(dot(drawn, drawn));
    return chancesOf(drawn.map((d) => d * scale)).chances;
  });
  const others = (of: readonly number[]) => Math.max(...of.filter((_, i) => i !== asked));
  const clearest = nothing.map(others);
  const itsOwn = asked === undefined ? [] : nothing.map((of) => of[asked]!);
  return columns.map((_, c) => ({
    chance: chances[c]!,
    mean: means[c]!,
    alike:
      (1 + (c === asked ? itsOwn : clearest).filter((other) => other >= chances[c]!).length) /
      (1 + books),
  }));
}

/** What each column does, as the mean over the sets that hold it. */
function meansOf(
  sets: readonly Weighed[],
  weights: readonly number[],
  z: readonly Column[],
  y: Column,
): number[] {
  const found = z.map(() => 0);
  for (const [i, { set, factor }] of sets.entries()) {
    const solved = forward(
      factor,
      set.map((c) => dot(z[c]!, y)),
    );
    // Back through the upper factor.
    const back = [...solved];
    for (let a = back.length - 1; a >= 0; a -= 1) {
      for (let b = a + 1; b < back.length; b += 1) back[a]! -= factor[b]![a]! * back[b]!;
      back[a]! /= factor[a]![a]!;
    }
    set.forEach((c, k) => (found[c]! += weights[i]! * effect.value * back[k]!));
  }
  return found;
}

/** Bakes at which it is judged: whoever looks after each bake sees a cause sooner or later. Own choice, no source. */
const firstLooks = [10, 14, 19, 24] as const;
const everyLook = 5;

/**
 * Bakes of a book that are judged: as many as at its last look.
 *
 * @returns 0 before the first
 * @example lookAt(17) // 14
 */
export function lookAt(bakes: number): number {
  const last = firstLooks.at(-1)!;
  if (bakes >= last) return last + Math.floor((bakes - last) / everyLook) * everyLook;
  return firstLooks.findLast((l) => l <= bakes) ?? 0;
}

/**
 * Bakes at which it is judged next.
 *
 * @example nextLook(17) // 19
 */
export const nextLook = (bakes: number): number =>
  firstLooks.find((l) => l > bakes) ?? lookAt(bakes) + everyLook;
