import { householdOn } from '../bake/circumstances.ts';
import { pacesFor } from '../ferment/believed-paces.ts';
import { leavenKeys } from '../ferment/leaven-key.ts';
import { drawnRise } from '../ferment/rise-curve.ts';
import { isForecast } from '../ferment/rise-doubt.ts';
import type { RisePoint } from '../ferment/rise.ts';
import { riseModelIn } from '../ferment/rise-model.ts';
import type { Belief } from '../belief/belief.ts';
import type { Household } from '../household/household.ts';
import { bakeRises } from '../learn/rises.ts';
import { measures } from './measures.ts';
import { asMade, type BakeRecord } from './record.ts';

/** The first rise of a bake: as the model has it, and as it was noted. */
export interface FirstRise {
  readonly curve: readonly RisePoint[];
  /** Hours until it was thought to be there. */
  readonly thought: number;
  /** Where somebody said that it was there. */
  readonly took?: { readonly hours: number; readonly volume: number };
}

/**
 * The first rise of a bake, to be drawn over others.
 *
 * @param belief what is known now, of its bread
 * @returns undefined where its dough does not rise to its end
 * @example firstRiseOf(record, household, belief)?.thought // 1.4
 */
export function firstRiseOf(
  record: BakeRecord,
  household: Household,
  belief: Belief,
): FirstRise | undefined {
  const { formula, made, circumstances } = record;
  const then = householdOn(household, circumstances);
  const rise = bakeRises(asMade(record, then), belief).find((r) => r.id === 'first');
  if (!rise || !isForecast(rise.forecast)) return undefined;
  const paces = pacesFor(belief, leavenKeys(made, formula));
  const curve = drawnRise(rise.dough, rise.forecast, paces, riseModelIn(then));
  const hours = measures.firstRise.of(record);
  const nearest =
    hours === undefined
      ? undefined
      : curve.reduce((n, p) => (Math.abs(p.hours - hours) < Math.abs(n.hours - hours) ? p : n));
  return {
    curve,
    thought: rise.forecast.middle,
    ...(hours === undefined || !nearest ? {} : { took: { hours, volume: nearest.volume } }),
  };
}
