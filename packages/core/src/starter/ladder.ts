import { leavenSpans } from '../ferment/leaven-for.ts';
import { withPaces, type Paces } from '../ferment/rise-doubt.ts';
import { riseUntil } from '../ferment/rise-until.ts';
import { usualRise, type RiseModel } from '../ferment/rise.ts';
import type { Rise } from '../ferment/rises.ts';
import { sourness, tangOf, type TangId } from '../ferment/souring.ts';

/** A share of starter with what comes of it. */
export interface StarterStep {
  /** Its flour, % of all flour. */
  readonly percent: number;
  /** Of the first rise. */
  readonly hours: number;
  /** Acid at the end of both rises, of that at which its flora stops, and how that tastes. */
  readonly sour: number;
  readonly tang: TangId;
}

/** Shares that are shown, % of all flour: between a trace and a third. Own choice, no source. */
const shown = [2, 3, 4, 5, 6.5, 8, 10, 12.5, 15, 18, 22, 27, 33] as const;
/** Longer than this nobody waits in a room, hours. */
const longest = 36;

type Rises = readonly [first: Pick<Rise, 'dough' | 'end'>, final: Pick<Rise, 'dough' | 'end'>];

/**
 * What a share of starter does to a sourdough: how long the first rise takes, and how sour the bread becomes.
 *
 * @returns undefined where it never gets there
 * @example starterStep(rises, 15) // {percent: 15, hours: 5, sour: .4, tang: 'light'}
 */
export function starterStep(
  [first, final]: Rises,
  percent: number,
  paces: Paces = {},
  model: RiseModel = usualRise,
): StarterStep | undefined {
  const dough = withPaces({ ...first.dough, starter: percent }, paces);
  const { hours } = riseUntil(dough, first.end, model, longest);
  if (hours === undefined) return undefined;
  const last = withPaces({ ...final.dough, starter: percent }, paces);
  const proof = riseUntil(last, final.end, model, longest).hours ?? 0;
  const sour = sourness(
    [
      { dough, hours },
      { dough: last, hours: proof },
    ],
    model,
  );
  return { percent, hours, sour, tang: tangOf(sour) };
}

/**
 * How much starter, how long, how sour: the whole ladder.
 *
 * @example starterLadder(rises).map((s) => s.hours) // the less starter, the longer
 */
export const starterLadder = (
  rises: Rises,
  paces: Paces = {},
  model: RiseModel = usualRise,
): StarterStep[] => shown.flatMap((percent) => starterStep(rises, percent, paces, model) ?? []);

/**
 * The share of starter that makes a bread as sour as that: the less of it, the longer and the sourer.
 *
 * @returns the nearest on the ladder where none is
 * @example forTang(rises, 'tangy')?.percent // 5
 */
export function forTang(
  rises: Rises,
  wanted: TangId,
  paces: Paces = {},
  model: RiseModel = usualRise,
): StarterStep | undefined {
  const ladder = starterLadder(rises, paces, model);
  const same = ladder.filter((s) => s.tang === wanted);
  // In the middle of what tastes so.
  return same[Math.floor(same.length / 2)];
}

/** A share as near to one that was asked for as a dough can have. */
export const withinShare = (percent: number): number =>
  Math.min(leavenSpans.starter[1], Math.max(leavenSpans.starter[0], percent));
