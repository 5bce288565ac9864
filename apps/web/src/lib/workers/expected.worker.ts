import {
  bakeRecord,
  expectedOf,
  type Belief,
  type BookEntry,
  type Expected,
  type Household,
  type MeasureId,
} from '@tender-crumb/core';
import { expose } from 'comlink';

const forecaster = {
  /** Where a measure of each bake was to be expected, by its id: rises are simulated for it, one by one. */
  expect: (
    id: MeasureId,
    entries: readonly BookEntry[],
    household: Household,
    belief: Belief,
  ): ReadonlyMap<string, Expected> =>
    new Map(
      entries.flatMap((entry) => {
        const expected = expectedOf(id, bakeRecord(entry, household), household, belief);
        return expected ? [[entry.id, expected] as const] : [];
      }),
    ),
};

export type Forecaster = typeof forecaster;
expose(forecaster);
