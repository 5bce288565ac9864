import type { Household } from '../household/household.ts';
import { measureOf, type MeasureId } from './measures.ts';
import type { Along } from './question.ts';
import type { BakeRecord } from './record.ts';
import { traitOf, type TraitId } from './traits.ts';

/** A bake as a point of a drawing. */
interface DrawnPoint {
  readonly id: string;
  readonly day: string;
  /** Moment in ms along the calendar, else in the unit of the measure. */
  readonly x: number;
  readonly y: number;
  /** What it is told apart by. */
  readonly group: Readonly<Record<'bag' | 'leaven' | 'device', string>>;
}

/**
 * A bake drawn as a point.
 *
 * @returns undefined where one of both was not noted
 * @example drawnPoint(record, 'felt', 'day', household)?.y // -2
 */
export function drawnPoint(
  record: BakeRecord,
  of: MeasureId,
  along: Along,
  household: Household,
): DrawnPoint | undefined {
  const y = measureOf(of).of(record);
  const x = along === 'day' ? Date.parse(record.startedAt) : measureOf(along).of(record);
  if (x === undefined || y === undefined) return undefined;
  const named = (trait: TraitId): string[] =>
    [...traitOf(trait).of(record).values()].map((v) => traitOf(trait).named(v, household));
  return {
    id: record.id,
    day: record.circumstances.day,
    x,
    y,
    group: {
      bag: named('bag')[0] ?? '',
      leaven: named('leaven')[0] ?? '',
      device: named('device')[0] ?? '',
    },
  };
}
