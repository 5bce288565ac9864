import type { Belief } from '../belief/belief.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import { compareBakes, type ComparedRow } from '../book/compare.ts';
import { firstRiseOf } from '../book/first-rise.ts';
import { bakeRecord, type BakeRecord, type BookEntry } from '../book/record.ts';
import { windowIn } from '../dough/own-window.ts';
import type { Household } from '../household/household.ts';
import { forBread } from '../learn/for-bread.ts';
import type { Window } from '../style/style.ts';
import { lazily } from './lazily.ts';

/** All that is shown of some bakes side by side. */
export interface ComparedView {
  readonly records: readonly BakeRecord[];
  readonly rows: readonly ComparedRow[];
  /** Where the first of them is right here. */
  readonly window: Window | undefined;
  /** Where each was forecast and felt, by its id. */
  readonly levels: ReadonlyArray<{
    readonly id: string;
    readonly low: number;
    readonly high: number;
    readonly felt?: number;
  }>;
  /** The first rise of each, by its id. */
  readonly rises: ReadonlyArray<
    { readonly id: string } & NonNullable<ReturnType<typeof firstRiseOf>>
  >;
}

/**
 * Some bakes side by side.
 *
 * @param belief of every bread
 * @example comparedOf([one, two], household, belief).rows.filter((r) => r.of === 'line')
 */
export function comparedOf(
  entries: readonly BookEntry[],
  household: Household,
  belief: Belief,
): ComparedView {
  return lazily<ComparedView>({
    records: () => entries.map((e) => bakeRecord(e, household)),
    rows: ({ records }) => compareBakes(records, household),
    window: ({ records: [first] }) =>
      first &&
      windowIn(
        first.formula.style,
        first.lesson?.dryness ?? 0,
        kitchenOf(household, forBread(belief, first.bread)),
      ).window,
    levels: ({ records }) =>
      records.flatMap(({ id, lesson }) => {
        if (!lesson) return [];
        const { felt, mixed } = lesson;
        return [{ id, low: mixed.low, high: mixed.high, ...(felt === undefined ? {} : { felt }) }];
      }),
    rises: ({ records }) =>
      records.flatMap((r) => {
        const rise = firstRiseOf(r, household, forBread(belief, r.bread));
        return rise ? [{ ...rise, id: r.id }] : [];
      }),
  });
}
