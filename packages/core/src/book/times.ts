import { householdOn } from '../bake/circumstances.ts';
import { isForecast } from '../ferment/rise-doubt.ts';
import type { Belief } from '../household/belief.ts';
import type { Household } from '../household/household.ts';
import { measuredOf } from '../household/measured.ts';
import { bakeRises } from '../learn/rises.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { ovenMinutes } from '../style/baking.ts';
import { styles } from '../style/style.ts';
import { measures } from './measures.ts';
import type { BakeRecord } from './record.ts';

/** A stretch of a bake: how long it was thought to take, and how long it took, minutes. */
export interface TimeRow {
  readonly says: string;
  readonly thought?: { readonly middle: number; readonly low: number; readonly high: number };
  readonly took?: number;
}

/** An oven's minutes are thought to be so much less, or more. As the timetable has it. */
const ovenSpan = { low: 0.9, high: 1.15 } as const;

/**
 * The times of a bake: its rises and its minutes in the oven, thought and real.
 *
 * @param belief what is known now, of its bread
 * @example timesOf(record, household, belief).map((t) => t.says) // ['first rise', 'final proof', 'in the oven']
 */
export function timesOf(record: BakeRecord, household: Household, belief: Belief): TimeRow[] {
  const { formula, made, state, meant } = record;
  const then = householdOn(household, record.circumstances);
  const rises = bakeRises(formula, made, state, then, belief).map(({ id, forecast }): TimeRow => {
    const measure = measures[id === 'first' ? 'firstRise' : 'finalProof'];
    const hours = measure.of(record);
    return {
      says: measure.says,
      ...(isForecast(forecast)
        ? {
            thought: {
              middle: 60 * forecast.middle,
              low: 60 * forecast.low,
              high: 60 * forecast.high,
            },
          }
        : {}),
      ...(hours === undefined ? {} : { took: 60 * hours }),
    };
  });
  const took = measures.inOven.of(record);
  const piece = sumGrams(made) / 1000 / (state.divided?.pieces ?? meant.pieces ?? 1);
  const middle =
    ovenMinutes(styles[meant.style].baking, piece) * Math.exp(measuredOf(belief, 'oven', {}).mean);
  return [
    ...rises,
    {
      says: measures.inOven.says,
      thought: { middle, low: middle * ovenSpan.low, high: middle * ovenSpan.high },
      ...(took === undefined ? {} : { took }),
    },
  ];
}
