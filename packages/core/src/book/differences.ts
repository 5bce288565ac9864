import type { Household } from '../household/household.ts';
import { measureIds, measureOf, valueText, type MeasureId } from './measures.ts';
import type { BakeRecord } from './record.ts';
import { flourName, traitIds, traitOf, type TraitId } from './traits.ts';

/** One thing in which a bake differs from another. */
export interface Difference {
  /** Stays the same from bake to bake: `water`, `bag:bread-flour`. */
  readonly key: string;
  readonly says: string;
  readonly from: string;
  readonly to: string;
  /** How many times what could be told apart; a name counts as its row says. */
  readonly size: number;
  /** It is of what came out, and not of what was done. */
  readonly result: boolean;
}

/** Another bag, leaven or pan counts as much as a number that moved by so many of its steps. Own choice, no source. */
const ofName = 3;

function ofMeasure(id: MeasureId, before: BakeRecord, after: BakeRecord): Difference[] {
  const { of, step, says, sort } = measureOf(id);
  const [a, b] = [of(before), of(after)];
  if (a === undefined || b === undefined || Math.abs(b - a) < step) return [];
  return [
    {
      key: id,
      says,
      from: valueText(id, a),
      to: valueText(id, b),
      size: Math.abs(b - a) / step,
      result: sort === 'result',
    },
  ];
}

function ofTrait(
  id: TraitId,
  before: BakeRecord,
  after: BakeRecord,
  household: Household,
): Difference[] {
  const { of, says, named } = traitOf(id);
  const [then, now] = [of(before), of(after)];
  return [...now].flatMap(([what, to]) => {
    const from = then.get(what);
    if (from === undefined || from === to) return [];
    return [
      {
        key: what === '' ? id : `${id}:${what}`,
        says: what === '' ? says : `${says} of ${flourName(what)}`,
        from: named(from, household),
        to: named(to, household),
        size: ofName,
        result: false,
      },
    ];
  });
}

/**
 * In what a bake differs from another, as far as can be told apart: the largest first, what was done before what
 * came of it.
 *
 * @param before the earlier one
 * @param household whose bags and pans have names
 * @example differences(last, this, household)[0] // {key: 'water', from: '64 %', to: '66 %', …}
 */
export function differences(
  before: BakeRecord,
  after: BakeRecord,
  household: Household,
): Difference[] {
  return [
    ...traitIds.flatMap((id) => ofTrait(id, before, after, household)),
    ...measureIds.flatMap((id) => ofMeasure(id, before, after)),
  ].sort((a, b) => Number(a.result) - Number(b.result) || b.size - a.size);
}
