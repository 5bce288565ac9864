import { kitchenNow, type BakeEvent, type Outcome } from '@tender-crumb/core/bake';
import { bakeRecord, type BakeRecord } from '@tender-crumb/core/book';
import type { Formula } from '@tender-crumb/core/formula';
import { nothingLearned } from '@tender-crumb/core/belief';
import { defaultHousehold, type Household } from '@tender-crumb/core/household';
import { learnFromBake } from '@tender-crumb/core/learn';
import { build } from '../build.ts';

export const loaf = build(
  { 'bread-flour': 500, water: 320, oil: 10, salt: 9, 'instant-yeast': 5 },
  'pan',
);

/** A moment so many minutes into the bake of a day. */
export const at = (day: number, minute: number): string =>
  new Date(Date.UTC(2026, 3, day, 8, minute)).toISOString();

/** What is noted of a bake. */
export interface Noted {
  readonly formula?: Formula;
  readonly felt?: number;
  readonly outcome?: Partial<Outcome>;
  /** Minutes of each rise. */
  readonly first?: number;
  readonly final?: number;
  readonly more?: readonly BakeEvent[];
  readonly household?: Household;
}

/** A bake as the book reads it, on a day of April. */
export function aBake(day: number, noted: Noted = {}): BakeRecord {
  const { formula = loaf, felt, outcome, first, final, more = [] } = noted;
  const household = noted.household ?? defaultHousehold;
  let id = 0;
  const event = (minute: number, kind: string, data: unknown) =>
    ({ id: `e${(id += 1)}`, at: at(day, minute), kind, data }) as BakeEvent;
  const events = [
    ...(felt === undefined ? [] : [event(10, 'felt', { points: felt })]),
    ...(first === undefined
      ? []
      : [
          event(20, 'rise', { rise: 'first', sense: 'begun' }),
          event(20 + first, 'rise', { rise: 'first', sense: 'there' }),
        ]),
    ...(final === undefined
      ? []
      : [
          event(300, 'rise', { rise: 'final', sense: 'begun' }),
          event(300 + final, 'rise', { rise: 'final', sense: 'there' }),
        ]),
    ...more,
    ...(outcome ? [event(600, 'outcome', { words: [], note: '', ...outcome })] : []),
    event(610, 'finished', {}),
  ];
  const lesson = learnFromBake(formula, events, household, nothingLearned, 'loaf')?.lesson;
  return bakeRecord(
    {
      id: `bake-${day}`,
      bread: 'loaf',
      name: 'Loaf',
      method: 'hand',
      startedAt: at(day, 0),
      formula,
      events,
      circumstances: { day: at(day, 0).slice(0, 10), kitchen: kitchenNow(household, formula) },
      ...(lesson ? { lesson } : {}),
    },
    household,
  );
}
