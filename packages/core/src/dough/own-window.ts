import { figure } from '../figure/figure.ts';
import { departureKey, type WindowLook } from '../belief/belief.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import type { StyleId, Window } from '../style/style.ts';
import { edgeFor, windowFor } from './window.ts';

/** Where a household's loaves of a bread come out well, by how they did. */
interface OwnWindow {
  readonly window: Window;
  /** How far each end is still in doubt, standard deviation in points. */
  readonly sd: readonly [low: number, high: number];
  /** Bakes that it rests on. */
  readonly looks: number;
}

/** So far outside its window a loaf loses one place among the judgements. Own estimate, no source. */
const perPlace = figure(1.5, 'points', 0.5, 'own estimate, no source');
/** How much a judgement of the same loaf differs from day to day. Own estimate, no source. */
const judging = figure(0.9, 'places', 0.3, 'own estimate, no source');
/** How much a touch errs: the place of a loaf is where it was felt, give or take. */
const touch = figure(1.5, 'points', 0, 'as the spread of a feel in the coefficients');
/** A judgement that has nothing to do with the dough: burnt, forgotten, a bad day. Own estimate, no source. */
const odd = figure(0.08, 'share of bakes', 0.05, 'own estimate, no source');
/** What a household says of its best loaves: some never say the highest. Own choice, no source. */
const tops = [
  { stars: 5, chance: 0.35 },
  { stars: 4.5, chance: 0.35 },
  { stars: 4, chance: 0.2 },
  { stars: 3.5, chance: 0.1 },
] as const;
/** A loaf that is said to be too tight or too loose was so, but for such a share of slips. Own estimate, no source. */
const slip = figure(0.15, 'share', 0.1, 'own estimate, no source');

/** An end is looked for so far to each side of the style's, standard deviations, in so many steps. */
const reach = 3.5;
const steps = 71;

/** Three places that stand for a touch with its error: Gauss and Hermite’s, with their weights. */
const smeared = [
  [-Math.sqrt(3) * touch.value, 1 / 6],
  [0, 2 / 3],
  [Math.sqrt(3) * touch.value, 1 / 6],
] as const;

/** Logarithm of how likely a judgement is of a loaf so far outside, where the best are judged `top`. */
function judged(stars: number, outside: number, top: number): number {
  const expected = Math.max(1, top - outside / perPlace.value);
  const z = (stars - expected) / judging.value;
  return (
    (1 - odd.value) * (Math.exp((-z * z) / 2) / (judging.value * Math.sqrt(2 * Math.PI))) +
    odd.value / 5
  );
}

/** Logarithm of how likely it is that a loaf was called so, `beyond` points outside one end of the window. */
const called = (so: boolean, beyond: number): number => {
  const outside = 1 / (1 + Math.exp(-beyond));
  return Math.log(
    so
      ? slip.value + (1 - 2 * slip.value) * outside
      : 1 - (slip.value + (1 - 2 * slip.value) * outside),
  );
};

/** A judged loaf with the end of the window that it speaks of: where nobody said, the nearer one. */
type Sided = WindowLook & Required<Pick<WindowLook, 'side'>>;
const sided = (look: WindowLook, [low, high]: Window): Sided & { readonly said: boolean } => ({
  ...look,
  side: look.side ?? (look.points < (low + high) / 2 ? 'tight' : 'loose'),
  said: look.side !== undefined,
});

/** Logarithm of what the looks say of one end, for each place of it: `sign` −1 for the low end, 1 for the high. */
function ofEnd(
  looks: ReadonlyArray<ReturnType<typeof sided>>,
  places: readonly number[],
  sign: -1 | 1,
  top: number,
): number[] {
  const here = sign < 0 ? 'tight' : 'loose';
  return places.map((end) =>
    looks.reduce((sum, { points, stars, side, said }) => {
      const beyond = sign * (points - end);
      if (side !== here) return said ? sum + called(false, beyond) : sum;
      let likely = 0;
      for (const [off, weight] of smeared)
        likely += weight * judged(stars, Math.max(0, beyond + off), top);
      return sum + Math.log(likely) + (said ? called(true, beyond) : 0);
    }, 0),
  );
}

/** Weights that are in proportion to the exponentials of some logarithms, and the logarithm of their sum. */
function weights(logs: readonly number[]): { share: number[]; log: number } {
  const most = Math.max(...logs);
  const each = logs.map((l) => Math.exp(l - most));
  const sum = each.reduce((a, b) => a + b, 0);
  return { share: each.map((e) => e / sum), log: most + Math.log(sum) };
}

const known = new WeakMap<readonly WindowLook[], Map<string, OwnWindow>>();

/**
 * The window as this household's loaves have it: the style's window is what is believed before the first, each end
 * as doubtful as the style says; each judged loaf says how far outside it lay. The two ends are learned apart, on a
 * grid; what the household calls its best is summed over.
 *
 * Source: Bayes' rule on a grid, e.g. Gelman et al., Bayesian Data Analysis, chapter 3, from memory.
 *
 * @param style its window
 * @param edge how far an end of that is in doubt, standard deviation in points, above 0
 * @param looks judged loaves of that bread
 * @throws RangeError where the edge is not above 0
 * @example ownWindow([-3, 5], 1.5, []).window // [-3, 5]
 * @example ownWindow([-3, 5], 3, Array(7).fill({points: 8, stars: 5})).window[1] > 7 // true
 */
export function ownWindow(style: Window, edge: number, looks: readonly WindowLook[]): OwnWindow {
  if (!(edge > 0)) throw new RangeError('the doubt of an end is above 0');
  if (looks.length === 0) return { window: style, sd: [edge, edge], looks: 0 };
  const key = `${style[0]} ${style[1]} ${edge}`;
  const before = known.get(looks)?.get(key);
  if (before) return before;

  const seen = looks.map((l) => sided(l, style));
  const grid = Array.from({ length: steps }, (_, i) => reach * ((2 * i) / (steps - 1) - 1));
  const prior = grid.map((z) => (-z * z) / 2);
  const places = style.map((end) => grid.map((z) => end + edge * z));
  const byTop = tops.map(({ stars: top, chance }) => {
    const [low, high] = ([-1, 1] as const).map((sign, i) =>
      weights(ofEnd(seen, places[i]!, sign, top).map((l, n) => l + prior[n]!)),
    ) as [ReturnType<typeof weights>, ReturnType<typeof weights>];
    return { low, high, log: Math.log(chance) + low.log + high.log };
  });
  const share = weights(byTop.map((t) => t.log)).share;
  const ends = (['low', 'high'] as const).map((end, i) => {
    let mean = 0;
    let square = 0;
    for (const [t, top] of byTop.entries())
      for (const [n, place] of places[i]!.entries()) {
        const weight = share[t]! * top[end].share[n]!;
        mean += weight * place;
        square += weight * place * place;
      }
    return { mean, sd: Math.sqrt(Math.max(0, square - mean * mean)) };
  });
  const found: OwnWindow = {
    window: [ends[0]!.mean, ends[1]!.mean],
    sd: [ends[0]!.sd, ends[1]!.sd],
    looks: looks.length,
  };
  known.set(looks, (known.get(looks) ?? new Map<string, OwnWindow>()).set(key, found));
  return found;
}

/**
 * The window of the bread that a kitchen has in view, theirs beside the style's.
 *
 * @param dryness 0 for a bread on flour, 1 for one on its dry base
 * @returns `edge`: how far the ends are in doubt, standard deviation in points, the wider of the two
 * @example windowIn('pan', 0, kitchenOf(defaultHousehold)).looks // 0
 */
export function windowIn(
  style: StyleId,
  dryness: number,
  { figures, belief }: Pick<Kitchen, 'figures' | 'belief'>,
): { window: Window; style: Window; edge: number; looks: number } {
  const wanted = windowFor(style, dryness, figures);
  const edge = edgeFor(style, dryness);
  const looks = belief.windows?.[departureKey];
  if (!looks) return { window: wanted, style: wanted, edge, looks: 0 };
  const own = ownWindow(wanted, edge, looks);
  return { window: own.window, style: wanted, edge: Math.max(...own.sd), looks: own.looks };
}
