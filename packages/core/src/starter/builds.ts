import { commonPractice, figure } from '../figure/figure.ts';
import { refuse, type Refused } from '../quantity/refusal.ts';
import { usualRise, type RiseModel } from '../ferment/rise.ts';
import type { Paces } from '../ferment/rise-doubt.ts';
import { feedingFor, type FeedingAhead } from './feeding-for.ts';

/** What a starter is brought up for, in one build or several. Grams, °C, hours from now. */
export interface BuildsAsked {
  /** Ripe starter that the dough takes. */
  readonly want: number;
  /** So much of the last build is kept, to go on from. */
  readonly keep: number;
  /** Water per flour, g per g. */
  readonly hydration: number;
  /** Share of whole grain in its flour. */
  readonly whole: number;
  readonly celsius: number;
  /** Until it is to be ripe. */
  readonly hours: number;
  readonly builds: number;
}

/** One build: when it is fed, with what, and when it is ripe. */
export interface Build extends FeedingAhead {
  /** Hours from now at which it is fed. */
  readonly at: number;
}

/** A build is given so long where there is time, and nobody feeds more often than that. */
const longestBuild = figure(12, 'h', 3, commonPractice);
const shortestBuild = figure(3, 'h', 1, commonPractice);

/** More are a week of work. Own choice, no source. */
export const mostBuilds = 4;

/**
 * Feedings backwards from when a starter is to be ripe: the last makes what the dough takes and what is kept, each
 * before it the seed of the next.
 *
 * @returns the first feeding first; refused where the time is too short for so many
 * @example buildsFor({want: 100, keep: 20, hydration: 1, whole: 0, celsius: 22, hours: 24, builds: 2}).length // 2
 */
export function buildsFor(
  { want, keep, hydration, whole, celsius, hours, builds }: BuildsAsked,
  paces: Paces = {},
  model: RiseModel = usualRise,
): Build[] | Refused {
  const each = Math.min(longestBuild.value, hours / builds);
  if (!(each >= shortestBuild.value)) {
    return refuse(
      'too-short',
      `${builds === 1 ? 'A feeding takes' : `${builds} feedings take`} ${shortestBuild.value * builds} hours at least.`,
    );
  }
  const found: Build[] = [];
  let [need, kept] = [want, keep];
  for (let i = builds - 1; i >= 0; i -= 1) {
    const flour = need / (1 + hydration);
    const feeding = feedingFor(
      { flour, water: need - flour, keep: kept, hours: each, celsius, whole },
      paces,
      model,
    );
    if (!feeding) return refuse('never-ripe', 'It never gets ripe there.');
    found.unshift({ ...feeding, at: hours - each * (builds - i) });
    [need, kept] = [feeding.seed, 0];
  }
  return found;
}
