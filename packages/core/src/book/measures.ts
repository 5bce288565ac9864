import { judgements, bakeLoss } from '../bake/outcome.ts';
import type { RiseNoted } from '../bake/state.ts';
import { windowFor, outside } from '../dough/window.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { hoursText } from '../quantity/duration.ts';
import { thinSpace } from '../quantity/number.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import type { BakeRecord } from './record.ts';

/** What a measure is to a baker. */
type MeasureSort =
  /** Settled before: another can be taken next time. */
  | 'set'
  /** It comes of the day: it can be waited for, not set. */
  | 'given'
  /** What came out. */
  | 'result';

/** Something of a bake that is a number. */
interface Measure {
  readonly says: string;
  readonly unit: string;
  readonly digits: number;
  readonly sort: MeasureSort;
  /** Less than this is no difference: scales, fingers and clocks are not finer. Own choice, no source. */
  readonly step: number;
  /** More of it is better, where that can be said. */
  readonly better?: 'more';
  /** It says no more than a line does that stands beside it. */
  readonly ofLine?: true;
  /** What it does to a loaf another measure shows: it is no change of its own beside that. */
  readonly noChange?: true;
  of(record: BakeRecord): number | undefined;
  /** How it is written, where that is not its number and unit. */
  text?(value: number): string;
}

const measure = (row: Measure): Measure => row;

const hours = ({ begunAt, notes }: RiseNoted = { notes: [] }): number | undefined => {
  const there = notes.findLast((n) => n.sense === 'there');
  if (begunAt === undefined || !there) return undefined;
  const passed = (Date.parse(there.at) - Date.parse(begunAt)) / 3_600_000;
  return passed > 0 ? passed : undefined;
};

/** Grams of what fits, % of the flour; undefined where there is none of it, and never was. */
const share = (
  { made, planned, totals }: BakeRecord,
  fits: (line: ResolvedLine) => boolean,
  of: (line: ResolvedLine) => number = (l) => l.grams,
): number | undefined => {
  if (!totals || !planned.some(fits)) return undefined;
  return (100 * made.filter(fits).reduce((sum, l) => sum + of(l), 0)) / totals.flourGrams;
};

const added = ({ state, made }: BakeRecord, fits: (line: ResolvedLine) => boolean) =>
  sumGrams(state.added.filter((a) => made.some((l) => l.ingredient === a.ingredient && fits(l))));

const percent = (
  says: string,
  step: number,
  of: Measure['of'],
  { digits = 1, ofLine }: Pick<Measure, 'ofLine'> & { digits?: number } = {},
): Measure =>
  measure({
    says,
    unit: '% of flour',
    digits,
    sort: 'set',
    step,
    of,
    ...(ofLine ? { ofLine } : {}),
  });

/**
 * One row a measure, in the order in which a baker asks. Charts, comparisons, and what may have helped are made
 * from this table.
 */
export const measures = {
  water: percent('water', 1, ({ totals }) => totals?.effectiveHydration, { ofLine: true }),
  salt: percent('salt', 0.2, ({ totals }) => totals?.saltPercent, { digits: 2, ofLine: true }),
  yeast: percent('yeast', 0.2, (r) => share(r, (l) => l.of.yeast !== undefined), {
    digits: 2,
    ofLine: true,
  }),
  starter: percent('flour in the starter and what was mixed ahead', 3, ({ totals }) =>
    totals && totals.prefermentedFlourPercent > 0 ? totals.prefermentedFlourPercent : undefined,
  ),
  whole: percent('whole grain', 5, ({ totals }) => totals && 100 * totals.wholeShare, {
    digits: 0,
  }),
  fat: percent('fat', 1, (r) =>
    share(
      r,
      (l) => l.of.composition.fat > 40,
      (l) => (l.grams * l.of.composition.fat) / 100,
    ),
  ),
  sweet: percent('sugar, honey and syrup', 1, (r) =>
    share(
      r,
      (l) => l.of.composition.sugars > 40,
      (l) => (l.grams * l.of.composition.sugars) / 100,
    ),
  ),
  waterWarmth: measure({
    says: 'water temperature',
    unit: '°C',
    digits: 0,
    sort: 'set',
    step: 2,
    noChange: true,
    of: ({ state }) => state.warmth.water,
  }),
  doughWarmth: measure({
    says: 'dough after mixing',
    unit: '°C',
    digits: 1,
    sort: 'set',
    step: 1,
    of: ({ state }) => state.warmth.dough,
  }),
  firstRise: measure({
    says: 'first rise',
    unit: 'h',
    digits: 2,
    sort: 'set',
    step: 0.35,
    of: ({ state }) => hours(state.rises.first),
    text: hoursText,
  }),
  finalProof: measure({
    says: 'final proof',
    unit: 'h',
    digits: 2,
    sort: 'set',
    step: 0.25,
    of: ({ state }) => hours(state.rises.final),
    text: hoursText,
  }),
  inOven: measure({
    says: 'in the oven',
    unit: 'min',
    digits: 0,
    sort: 'set',
    step: 4,
    of({ state: { steps } }) {
      const { begunAt, doneAt } = steps.bake ?? {};
      if (begunAt === undefined || doneAt === undefined) return undefined;
      return (Date.parse(doneAt) - Date.parse(begunAt)) / 60_000;
    },
  }),
  core: measure({
    says: 'middle of the loaf',
    unit: '°C',
    digits: 0,
    sort: 'set',
    step: 2,
    of: ({ state }) => state.core.at(-1)?.celsius,
  }),
  size: measure({
    says: 'dough',
    unit: 'g',
    digits: 0,
    sort: 'set',
    step: 60,
    of: ({ made }) => sumGrams(made),
  }),
  spoonWater: measure({
    says: 'water added at the check',
    unit: 'g',
    digits: 0,
    sort: 'given',
    step: 10,
    of: (r) => added(r, (l) => l.of.role === 'liquid'),
  }),
  spoonFlour: measure({
    says: 'flour added at the check',
    unit: 'g',
    digits: 0,
    sort: 'given',
    step: 8,
    of: (r) => added(r, (l) => l.of.role === 'flour'),
  }),
  forecast: measure({
    says: 'forecast level',
    unit: 'points',
    digits: 1,
    sort: 'given',
    step: 2,
    noChange: true,
    of: ({ lesson }) => lesson?.mixed.points,
  }),
  felt: measure({
    says: 'felt level',
    unit: 'points',
    digits: 1,
    sort: 'given',
    step: 2,
    noChange: true,
    of: ({ lesson }) => lesson?.felt,
  }),
  air: measure({
    says: 'room',
    unit: '°C',
    digits: 0,
    sort: 'given',
    step: 2,
    of: ({ state, circumstances }) => state.warmth.air ?? circumstances.kitchen.room.celsius,
  }),
  humidity: measure({
    says: 'humidity',
    unit: '%',
    digits: 0,
    sort: 'given',
    step: 8,
    of: ({ circumstances: { kitchen } }) =>
      kitchen.room.humidity === undefined ? undefined : 100 * kitchen.room.humidity,
  }),
  stars: measure({
    says: 'result',
    unit: `of ${judgements.length}`,
    digits: 1,
    sort: 'result',
    step: 1,
    better: 'more',
    of: ({ state }) => state.outcome?.stars,
    text: (value) => judgements[Math.round(value) - 1] ?? '',
  }),
  height: measure({
    says: 'height',
    unit: 'mm',
    digits: 0,
    sort: 'result',
    step: 5,
    better: 'more',
    of: ({ state }) => state.outcome?.height,
  }),
  loss: measure({
    says: 'lost in the oven',
    unit: '%',
    digits: 1,
    sort: 'result',
    step: 1,
    of({ state }) {
      const lost = state.outcome && bakeLoss(state.outcome);
      return lost === undefined ? undefined : 100 * lost;
    },
  }),
  off: measure({
    says: 'outside the usual window',
    unit: 'points',
    digits: 1,
    sort: 'result',
    step: 2,
    of: ({ lesson, formula }) =>
      lesson?.felt === undefined
        ? undefined
        : outside(lesson.felt, windowFor(formula.style, lesson.dryness ?? 0)),
  }),
} as const satisfies Record<string, Measure>;

export type MeasureId = keyof typeof measures;
export const measureIds = Object.keys(measures) as MeasureId[];

/** A measure by its name, as its row has it. */
export const measureOf = (id: MeasureId): Measure => measures[id];

/**
 * A value of a measure in words.
 *
 * @example valueText('water', 66.4) // '66.4 %'
 * @example valueText('firstRise', 1.5) // '1 h 30 min'
 */
export function valueText(id: MeasureId, value: number): string {
  const { text, digits, unit } = measureOf(id);
  if (text) return text(value);
  // Noughts behind the point say nothing.
  const figure = String(Number(value.toFixed(digits))).replace('-', '−');
  return `${figure}${thinSpace}${unit.split(' ')[0]}`;
}
