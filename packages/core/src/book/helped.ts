import { departure, doubtOf, placeOf, type Belief } from '../belief/belief.ts';
import { z80 } from '../coefficients/coefficients.ts';
import type { Asked } from '../formula/asked.ts';
import type { Household } from '../household/household.ts';
import { figure } from '../figure/figure.ts';
import { updateBelief } from '../learn/update.ts';
import { studentBelow } from '../quantity/normal.ts';
import { causes, lookAt, mostColumns, nextLook, type Cause } from './causes.ts';
import { measureIds, measureOf, valueText, type MeasureId } from './measures.ts';
import type { BakeRecord } from './record.ts';
import { traitIds, traitOf } from './traits.ts';

/** What a change is judged by. */
export const outcomes = {
  stars: { says: 'result', unit: 'grades', more: 'better', less: 'worse', effect: 0.7, noise: 0.8 },
  height: { says: 'height', unit: 'mm', more: 'higher', less: 'lower', effect: 6, noise: 7 },
  loss: {
    says: 'lost in the oven',
    unit: 'points',
    more: 'more',
    less: 'less',
    effect: 1,
    noise: 1.2,
  },
} as const satisfies Partial<
  Record<
    MeasureId,
    {
      readonly says: string;
      readonly unit: string;
      /** What is said of more of it, and of less. */
      readonly more: string;
      readonly less: string;
      /** What one change is thought to do before any bake, standard deviation; own estimate, no source. */
      readonly effect: number;
      /** How much bakes differ that nothing was changed in; own estimate until enough are there. */
      readonly noise: number;
    }
  >
>;
type OutcomeId = keyof typeof outcomes;
const outcomeIds = Object.keys(outcomes) as OutcomeId[];

/** The prior of the noise counts as so many bakes. Own choice, no source. */
const noiseBakes = figure(4, 'bakes', 2, 'own choice, no source');
/** How far bakes of a bread lie from one another before any was seen: the middle is anywhere. */
const anywhere = 20;

/** What one change is found to do to an outcome. */
export interface Effect {
  /** As in differences.ts. */
  readonly key: string;
  readonly says: string;
  /** What it is compared to: the usual. */
  readonly from: string;
  readonly to: string;
  /** In the outcome's unit. */
  readonly effect: number;
  readonly sd: number;
  /** Half of its 80 % interval. */
  readonly giveOrTake: number;
  /** Chance that it helped, 0 to 1. */
  readonly helped: number;
  /** Bakes with it, and without. */
  readonly with: number;
  readonly without: number;
  /** Changes that came and went together with it, so that neither can be told from the other. */
  readonly together: readonly string[];
  readonly conclusion: Conclusion;
  /** Of 100 books in which nothing helps, so many look as clear; absent before the first look. */
  readonly alike?: number;
  readonly settable: boolean;
}

/** What may be concluded, surest first. */
export type Conclusion = 'helped' | 'hurt' | 'perhaps helped' | 'perhaps hurt' | 'no telling';

/** Fewer bakes than this on either side prove nothing, however large the difference. Own choice, no source. */
const leastBakes = 3;
/** Shares of books of nothing that look as clear, up to which it is said to be so, and perhaps so. Own choice, judged on drawn books. */
const sure = 0.012;
const perhaps = 0.06;
/** Two changes correlated by this or more cannot be told apart. Own choice, no source. */
const tied = 0.8;

/** Something that was not the same in all bakes of a bread, as a number for each of them: 0 as usual, 1 changed once. */
interface Varied {
  readonly key: string;
  readonly says: string;
  readonly from: string;
  readonly to: string;
  readonly settable: boolean;
  /** The bag that the change is to, where it is to one. */
  readonly bag?: string;
  readonly values: readonly number[];
}

const middleOf = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor((values.length - 1) / 2)]!;

const commonest = (values: readonly string[]): string => {
  const counts = new Map<string, number>();
  for (const v of values) counts.set(v, (counts.get(v) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]![0];
};

/** A change is a step of its measure or more, between a usual and a changed one. */
function variedMeasure(id: MeasureId, records: readonly BakeRecord[]): Varied[] {
  const { of, step, sort, says, noChange } = measureOf(id);
  if (sort === 'result' || noChange) return [];
  const seen = records.map((r) => of(r));
  const there = seen.filter((v) => v !== undefined);
  if (there.length === 0 || there.length < records.length / 2) return [];
  // As it was at first, before anything was changed.
  const usual = middleOf(there.slice(0, Math.ceil(there.length / 2)));
  const most = there.reduce((far, v) => (Math.abs(v - usual) > Math.abs(far - usual) ? v : far));
  if (Math.abs(most - usual) < 2 * step) return [];
  const unit = most - usual;
  return [
    {
      key: id,
      says,
      from: valueText(id, usual),
      to: valueText(id, most),
      settable: sort === 'set',
      values: seen.map((v) => (v === undefined ? 0 : (v - usual) / unit)),
    },
  ];
}

function variedTraits(records: readonly BakeRecord[], household: Household): Varied[] {
  return traitIds.flatMap((id) => {
    const { of, says, named, settable } = traitOf(id);
    const each = records.map((r) => of(r));
    const whats = new Set(each.flatMap((m) => [...m.keys()]));
    return [...whats].flatMap((what) => {
      const values = each.map((m) => m.get(what));
      const there = values.filter((v) => v !== undefined);
      const usual = commonest(there);
      return [...new Set(there)]
        .filter((v) => v !== usual)
        .map((other) => ({
          key: `${id}${what === '' ? '' : `:${what}`}=${other}`,
          says,
          from: named(usual, household),
          to: named(other, household),
          settable,
          ...(id === 'bag' ? { bag: other } : {}),
          values: values.map((v) => Number(v === other)),
        }));
    });
  });
}

/** All that was not the same in all of some bakes. */
const variedIn = (records: readonly BakeRecord[], household: Household): Varied[] => [
  ...variedTraits(records, household),
  ...measureIds.flatMap((id) => variedMeasure(id, records)),
];

/** Correlation of two columns; 0 where one of them does not vary. */
function correlation(a: readonly number[], b: readonly number[]): number {
  const mean = (v: readonly number[]) => v.reduce((s, x) => s + x, 0) / v.length;
  const [ma, mb] = [mean(a), mean(b)];
  let [ab, aa, bb] = [0, 0, 0];
  a.forEach((x, i) => {
    ab += (x - ma) * (b[i]! - mb);
    aa += (x - ma) ** 2;
    bb += (b[i]! - mb) ** 2;
  });
  return aa > 0 && bb > 0 ? ab / Math.sqrt(aa * bb) : 0;
}

const middle = 'middle';

/** Effects of all that varied, jointly: the linear Gaussian model that the dough is learned by. */
function fitted(varied: readonly Varied[], seen: readonly (number | undefined)[], id: OutcomeId) {
  const { effect, noise } = outcomes[id];
  const blank: Belief = { keys: [], mean: [], covariance: [], bakes: {} };
  const fit = (variance: number): Belief =>
    seen.reduce<Belief>((belief, value, i) => {
      if (value === undefined) return belief;
      const slopes = new Map([[middle, 1], ...varied.map((v) => [v.key, v.values[i]!] as const)]);
      const priors = new Map([[middle, anywhere], ...varied.map((v) => [v.key, effect] as const)]);
      const expected = [...slopes].reduce((s, [key, x]) => s + x * departure(belief, key), 0);
      return updateBelief(belief, { residual: value - expected, slopes, priors, noise: variance });
    }, blank);
  const first = fit(noise ** 2);
  // What is left over says how noisy this bread is, beside what bakes of others are.
  let left = 0;
  let count = 0;
  seen.forEach((value, i) => {
    if (value === undefined) return;
    const expected =
      departure(first, middle) +
      varied.reduce((s, v) => s + v.values[i]! * departure(first, v.key), 0);
    left += (value - expected) ** 2;
    count += 1;
  });
  const variance = (noiseBakes.value * noise ** 2 + left) / (noiseBakes.value + count);
  return { belief: fit(variance), variance, freedom: noiseBakes.value + count };
}

/** What may be concluded of each change, by its place, at the last look at the book. */
function judged(
  varied: readonly Varied[],
  seen: readonly number[],
  noise: number,
  asked: string | undefined,
): ReadonlyMap<number, Cause> {
  const bakes = lookAt(seen.length);
  const values = varied.map((v) => v.values.slice(0, bakes));
  const counts = values.map((v) => v.filter((x) => Math.abs(x) >= 0.5).length);
  const sides = counts.map((c) => Math.min(c, bakes - c));
  // What came and went together is one column; of very many those that were made most evenly are weighed.
  const columns: number[] = [];
  const standsFor = new Map<number, number>();
  const first = varied.findIndex((v) => v.key === asked);
  const order = varied
    .map((_, i) => i)
    .sort((a, b) => Number(b === first) - Number(a === first) || sides[b]! - sides[a]!);
  for (const i of order) {
    if (sides[i]! < leastBakes) continue;
    const like = columns.findIndex((c) => Math.abs(correlation(values[c]!, values[i]!)) >= tied);
    if (like >= 0) standsFor.set(i, like);
    else if (columns.length < mostColumns) standsFor.set(i, columns.push(i) - 1);
  }
  const found = causes(
    columns.map((c) => values[c]!),
    seen.slice(0, bakes),
    noise,
    columns[0] === first ? 0 : undefined,
  );
  return new Map(
    [...standsFor].map(([i, c]) => {
      const turned = correlation(values[columns[c]!]!, values[i]!) < 0 ? -1 : 1;
      return [i, { ...found[c]!, mean: turned * found[c]!.mean }] as const;
    }),
  );
}

function concluded(cause: Cause | undefined, more: boolean): Conclusion {
  if (!cause || cause.alike > perhaps) return 'no telling';
  const better = cause.mean > 0 === more;
  if (cause.alike <= sure) return better ? 'helped' : 'hurt';
  return better ? 'perhaps helped' : 'perhaps hurt';
}

/** One bake that would tell most. */
interface Trial {
  /** What would be asked of it. */
  readonly asks: Pick<Asked, 'key' | 'says' | 'from' | 'to'>;
  readonly says: string;
  /** Times by which it would narrow what is known of that change, 0 to 1. */
  readonly narrows: number;
}

/** What the bakes of a bread say of what was changed. */
interface Helped {
  readonly outcome: OutcomeId;
  /** Bakes in which that was noted. */
  readonly bakes: number;
  /** Bakes at which it is judged next: looked at after each, chance alone finds a cause. */
  readonly nextLook: number;
  /** The surest first. */
  readonly effects: readonly Effect[];
  readonly trial?: Trial;
}

const counting = (records: readonly BakeRecord[]): readonly BakeRecord[] =>
  records.filter((r) => r.state.counts !== false);

/**
 * By what the bakes of a bread can be judged: what was noted in two of them at least.
 *
 * @example judgedBy([]) // []
 */
export const judgedBy = (records: readonly BakeRecord[]): OutcomeId[] =>
  outcomeIds.filter(
    (id) => counting(records).filter((r) => measureOf(id).of(r) !== undefined).length >= 2,
  );

/**
 * What was changed between the bakes of a bread, and whether it helped: every change that was made at all, weighed
 * against all the others at once, so that what came and went together is shared out and said to be tied. A change
 * is small until bakes say otherwise.
 *
 * Source: Bayesian linear regression with the noise's variance from a scaled inverse χ², e.g. Gelman et al.,
 * Bayesian Data Analysis, chapter 14, from memory.
 *
 * @param records bakes of one bread, in the order in which they were made
 * @param asked what was asked about beforehand: it is judged by itself
 * @returns undefined where fewer than two bakes have that outcome
 * @example helped(records, 'stars', household)?.effects[0].verdict // 'no telling'
 */
export function helped(
  records: readonly BakeRecord[],
  outcome: OutcomeId,
  household: Household,
  asked?: Asked,
): Helped | undefined {
  const { of } = measureOf(outcome);
  const used = counting(records).filter((r) => of(r) !== undefined);
  if (used.length < 2) return undefined;
  const varied = variedIn(used, household);
  const seen = used.map((r) => of(r)!);
  const judgements = judged(varied, seen, outcomes[outcome].noise, asked?.key);
  const { belief, variance, freedom } = fitted(varied, seen, outcome);
  const more = outcome !== 'loss';
  const changed = (v: Varied) => v.values.filter((x) => Math.abs(x) >= 0.5).length;
  const effects = varied
    .map((v, i): Effect => {
      const effect = departure(belief, v.key);
      const sd = doubtOf(belief, v.key, outcomes[outcome].effect);
      const chance = studentBelow((more ? effect : -effect) / sd, freedom);
      const count = changed(v);
      return {
        key: v.key,
        says: v.says,
        from: v.from,
        to: v.to,
        effect,
        sd,
        giveOrTake: z80 * sd,
        helped: chance,
        with: count,
        without: used.length - count,
        together: varied
          .filter((o) => o !== v && Math.abs(correlation(o.values, v.values)) >= tied)
          .map((o) => `${o.says} ${o.to}`),
        conclusion: concluded(judgements.get(i), more),
        ...(judgements.has(i) ? { alike: Math.round(100 * judgements.get(i)!.alike) } : {}),
        settable: v.settable,
      };
    })
    .sort(
      (a, b) =>
        (a.alike ?? 100) - (b.alike ?? 100) || Math.abs(b.helped - 0.5) - Math.abs(a.helped - 0.5),
    );
  const open = varied.filter((v) => !isConcluded(effects.find((e) => e.key === v.key)!.conclusion));
  const trial = trialOf(varied, open, belief, variance, household);
  return {
    outcome,
    bakes: used.length,
    nextLook: nextLook(used.length),
    effects,
    ...(trial ? { trial } : {}),
  };
}

/** Whose turn it is in a trial that alternates. */
export interface Turn {
  /** With the change, or as usual. */
  readonly next: 'with' | 'without';
  /** Bakes since it was asked. */
  readonly done: number;
  /** Judged bakes that it takes until it is judged next, this one counted. */
  readonly left: number;
  readonly says: string;
}

/**
 * Whether the next bake of a trial is made with the change or as usual: the other way than the last one, so that neither
 * the season nor the baker's getting better is taken for it.
 *
 * @param records bakes of that bread, in the order in which they were made
 * @example turnOf(asked, [], household).next // 'with'
 */
export function turnOf(asked: Asked, records: readonly BakeRecord[], household: Household): Turn {
  const used = counting(records);
  const own = variedIn(used, household).find((v) => v.key === asked.key);
  const since = used.flatMap((r, i) => (r.circumstances.day >= asked.askedOn ? [i] : []));
  const last = since.at(-1);
  const wasWith = last !== undefined && (own?.values[last] ?? 0) >= 0.5;
  const next = wasWith ? 'without' : 'with';
  const outcome = outcomeIds.find((id) => id === asked.by);
  const judgedBakes = outcome
    ? used.filter((r) => measureOf(outcome).of(r) !== undefined).length
    : used.length;
  return {
    next,
    done: since.length,
    left: nextLook(judgedBakes) - judgedBakes,
    says:
      next === 'with'
        ? `Trial, this time with it: ${asked.says} ${asked.to}.`
        : `Trial, this time without it: ${asked.says} ${asked.from}.`,
  };
}

/** What is known to help, or to do harm, is not asked again. */
const isConcluded = (of: Conclusion): boolean => of === 'helped' || of === 'hurt';

/** A trial is worth its flour where it narrows something by this at least. Own choice, no source. */
const worth = 0.08;

/** A bag that is used up cannot be tried again. */
const canBeHad = ({ bag }: Varied, { bags }: Household): boolean =>
  bag === undefined || bags.some((b) => b.id === bag && !b.finished);

/**
 * The one bake that would tell most: as the last one was, with one thing as it was at first, or as it was changed to. It leaves of the
 * variance of that thing's effect less than any other would.
 *
 * @param open what is not known to help or to do harm
 */
function trialOf(
  varied: readonly Varied[],
  open: readonly Varied[],
  belief: Belief,
  noise: number,
  household: Household,
): Trial | undefined {
  const keys = [middle, ...varied.map((v) => v.key)];
  const at = keys.map((key) => placeOf(belief, key)!);
  const last = [1, ...varied.map((v) => v.values.at(-1)!)];
  const trials = varied.flatMap((v, i) =>
    open.includes(v) && v.settable && canBeHad(v, household)
      ? [trialWith(v, i, true), trialWith(v, i, false)]
      : [],
  );
  function trialWith(v: Varied, i: number, changed: boolean) {
    const bake = last.map((x, j) => (j === i + 1 ? Number(changed) : x));
    // What is foretold of that bake, and how far the effect is tied to it.
    const tie = at.map((row) =>
      at.reduce((sum, column, j) => sum + belief.covariance[row]![column]! * bake[j]!, 0),
    );
    const foretold = noise + tie.reduce((sum, t, j) => sum + t * bake[j]!, 0);
    const own = belief.covariance[at[i + 1]!]![at[i + 1]!]!;
    const narrows = 1 - Math.sqrt(Math.max(0, 1 - tie[i + 1]! ** 2 / foretold / own));
    const [to, from] = changed ? [v.to, v.from] : [v.from, v.to];
    return { v, narrows, to, from };
  }
  const best = trials.sort((a, b) => b.narrows - a.narrows)[0];
  if (!best || best.narrows < worth) return undefined;
  const { v, narrows, to, from } = best;
  return {
    asks: { key: v.key, says: v.says, from: v.from, to: v.to },
    says: `Bake as last time with one change: ${v.says} ${to} in place of ${from}.`,
    narrows,
  };
}
