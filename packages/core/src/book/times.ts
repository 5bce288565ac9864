import type { Belief } from '../belief/belief.ts';
import type { Household } from '../household/household.ts';
import { expectedOf, type Expected } from './expected.ts';
import { measures } from './measures.ts';
import type { BakeRecord } from './record.ts';

/** A stretch of a bake: how long it was thought to take, and how long it took, minutes. */
interface TimeRow {
  readonly says: string;
  readonly thought?: Expected;
  readonly took?: number;
}

/** Measures that are times, with the minutes of their unit. */
const times = { firstRise: 60, finalProof: 60, inOven: 1 } as const;

/**
 * The times of a bake: its rises and its minutes in the oven, as they were thought before it and as they were. A rise
 * that it has not is left out.
 *
 * @param belief what is known now, of its bread
 * @example timesOf(record, household, belief).map((t) => t.says) // ['first rise', 'final proof', 'in the oven']
 */
export function timesOf(record: BakeRecord, household: Household, belief: Belief): TimeRow[] {
  return (Object.keys(times) as Array<keyof typeof times>).flatMap((id): TimeRow[] => {
    const minutes = times[id];
    const { says, of } = measures[id];
    const value = of(record);
    const thought = expectedOf(id, record, household, belief);
    if (value === undefined && !thought) return [];
    return [
      {
        says,
        ...(thought
          ? {
              thought: {
                middle: minutes * thought.middle,
                low: minutes * thought.low,
                high: minutes * thought.high,
              },
            }
          : {}),
        ...(value === undefined ? {} : { took: minutes * value }),
      },
    ];
  });
}
