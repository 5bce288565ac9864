import type { SackWatch } from '../belief/belief.ts';

/*
 * The places are own choices, moved together until 900 drawn households a world were asked soonest with fewest questions in
 * vain: steady, unsteady hands, one bake in eight a slip.
 */
/** Two doughs running beyond that on one side, or one beyond that, deviations: one alone is rather a slip. Own choice, no source. */
const twice = 1.6;
const once = 3.7;
/** What a running sum lets go of, what of one dough counts at most, and where it asks. Own choice, no source. */
const sums = { slack: 0.6, cut: 2.5, asks: 2.5 } as const;
/**
 * So many doughs are let be once somebody was asked. Six would miss every eighth sack of unsteady hands, who were asked in
 * vain just before it; fewer than four ask again while the first answer still settles. Own choice, no source.
 */
const quietFor = 4;

export const nothingWatched: SackWatch = {
  last: 0,
  above: { sum: 0, doughs: 0 },
  below: { sum: 0, doughs: 0 },
  quiet: 0,
};

interface Watched {
  readonly watch: SackWatch;
  /** Doughs that stood off, this one the last: it is asked whether the sack is a new one. */
  readonly asks?: number;
}

const added = (to: SackWatch['above'], by: number): SackWatch['above'] => {
  const sum = Math.max(0, to.sum + Math.max(-sums.cut, Math.min(sums.cut, by)) - sums.slack);
  return { sum, doughs: sum > 0 ? to.doughs + 1 : 0 };
};

/**
 * One dough more of a flour that is watched: whether it is time to ask if its sack is a new one.
 *
 * Source: a cumulative sum beside two limits, as in the control charts of statistical process control, e.g. Montgomery,
 * Introduction to Statistical Quality Control, chapter 9, from memory; its places are own choices.
 *
 * @param deviations of the dough from its forecast, with the hand's own unsteadiness
 * @example watchSack(nothingWatched, 3.8).asks // 1
 */
export function watchSack(before: SackWatch, deviations: number): Watched {
  if (before.quiet > 0) return { watch: { ...nothingWatched, quiet: before.quiet - 1 } };
  const above = added(before.above, deviations);
  const below = added(before.below, -deviations);
  const running = Math.abs(deviations) > twice && Math.abs(before.last) > twice;
  const sum = [above, below].find((s) => s.sum > sums.asks);
  const asks =
    Math.abs(deviations) > once
      ? 1
      : running && Math.sign(deviations) === Math.sign(before.last)
        ? 2
        : sum?.doughs;
  return asks === undefined
    ? { watch: { last: deviations, above, below, quiet: 0 } }
    : { watch: { ...nothingWatched, quiet: quietFor }, asks };
}
