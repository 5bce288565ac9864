import { asMade } from '../bake/as-made.ts';
import { householdOn } from '../bake/circumstances.ts';
import type { Belief } from '../belief/belief.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import { breadCost, type BreadCost } from '../book/bread-cost.ts';
import { differences } from '../book/differences.ts';
import { bakeRecord, type BakeRecord, type BookEntry } from '../book/record.ts';
import { timesOf } from '../book/times.ts';
import { windowIn } from '../dough/own-window.ts';
import { formulaText } from '../exchange/formula-text.ts';
import type { Formula } from '../formula/formula.ts';
import { bakerName } from '../household/baker.ts';
import { pantryIn, type Household } from '../household/household.ts';
import type { Bag } from '../ingredient/bag.ts';
import { nextTime, type NextTime } from '../learn/next-time.ts';
import { cheapAt } from '../schedule/clock.ts';
import { lazily } from './lazily.ts';

/** A bake of the book, the one before it, and its formula as it stands on the shelf. */
export interface KeptBakeGiven {
  readonly entry: BookEntry;
  readonly before?: BookEntry | undefined;
  readonly head?: { readonly formula: Formula } | undefined;
  readonly household: Household;
  /** Of its bread. */
  readonly belief: Belief;
}

/** A line as it was meant and as it went in, grams; of what was added nothing was meant. */
interface BesideRow {
  readonly id: string;
  readonly name: string;
  readonly bag: string | undefined;
  readonly planned: number | undefined;
  readonly made: number;
  /** Of the flour, %; none where there is none. */
  readonly percent: number | undefined;
}

/** All that is shown of a bake in the book. */
export interface KeptBakeView {
  readonly record: BakeRecord;
  readonly before: BakeRecord | undefined;
  readonly changed: ReturnType<typeof differences> | undefined;
  /** Where this bread is right here. */
  readonly wanted: ReturnType<typeof windowIn>;
  readonly times: ReturnType<typeof timesOf>;
  readonly cost: BreadCost;
  readonly next: NextTime | undefined;
  readonly bags: ReadonlyArray<Bag & { readonly of: string }>;
  /** Who baked it. */
  readonly by: string | undefined;
  readonly beside: readonly BesideRow[];
  /** It as a recipe's text, as it was made. */
  readonly asText: () => string;
}

/**
 * All that is shown of a bake in the book.
 *
 * @example keptBakeOf({entry, household, belief}).beside[0].made // as the scale showed it
 */
export function keptBakeOf({
  entry,
  before,
  head,
  household,
  belief,
}: KeptBakeGiven): KeptBakeView {
  const record = bakeRecord(entry, household);
  const { state, made, formula, lesson } = record;
  const then = householdOn(household, record.circumstances);
  return lazily<KeptBakeView>({
    record: () => record,
    before: () => before && bakeRecord(before, household),
    changed: ({ before: last }) => last && differences(last, record, household),
    wanted: () => windowIn(formula.style, lesson?.dryness ?? 0, kitchenOf(household, belief)),
    times: () => timesOf(record, household, belief),
    cost: () => {
      const bakedAt = state.steps['bake']?.begunAt ?? record.startedAt;
      return breadCost(record, household, belief, cheapAt(bakedAt, household));
    },
    next: () => head && nextTime(head.formula, household, belief),
    bags: () => {
      const used = new Set(made.flatMap((l) => l.bag ?? []));
      return household.bags
        .filter((b) => used.has(b.id))
        .map((b) => ({ ...b, of: pantryIn(household).ingredient(b.ingredient).name }));
    },
    by: () => (state.baker === undefined ? undefined : bakerName(state.baker, household)),
    beside: () => {
      const planned = new Map(record.planned.map((l) => [l.id, l.grams]));
      const flour = record.totals?.flourGrams ?? 0;
      return made.map(({ id, of, bag, grams }) => ({
        id,
        name: of.name,
        bag: then.bags.find((b) => b.id === bag)?.name,
        planned: planned.get(id),
        made: grams,
        percent: flour > 0 ? (100 * grams) / flour : undefined,
      }));
    },
    asText: () => () =>
      formulaText(asMade(formula, state, pantryIn(then)), pantryIn(then), household.percentages),
  });
}
