import { roles } from '../ingredient/role.ts';
import { isInRange, settable, type OwnValues, type Settable } from '../figure/settable.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { massPerWork, type YeastFigure } from '../ingredient/yeast.ts';
import type { Refusal } from '../quantity/refusal.ts';
import { spans, styleFigures, type StyleFigure } from '../style/style-figures.ts';
import { styleIds } from '../style/style.ts';
import { structureFigures, type StructureFigure } from '../style/structure.ts';
import { coefficients, type CoefficientName } from './coefficients.ts';
import { riseFigures, type RiseFigure } from './rise-figures.ts';

/** Every key under which a household may set a figure of its own. */
type FigureKey =
  CoefficientName | RiseFigure | `thirst:${string}` | StyleFigure | YeastFigure | StructureFigure;

/** What a household set by itself, by the figure's key. */
export type OwnFigures = OwnValues<FigureKey>;

/** One figure that the household may set for itself. */
export interface FigureRow extends Settable {
  readonly key: FigureKey;
  /** What the household set, where it did. */
  readonly own?: number;
}

interface FigureGroup {
  readonly title: string;
  readonly rows: readonly FigureRow[];
}

/** Absorptions beyond this are no ingredient's. */
const mostAbsorption = 20;

type Table = ReadonlyArray<readonly [FigureKey, Settable]>;
const tableOf = (of: object): Table => Object.entries(of) as unknown as Table;
const styleTable = (of: string): Table =>
  tableOf(styleFigures).filter(([key]) => key.startsWith(`${of}:`));

/** The figures of each group, of which those of an ingredient depend on what the pantry has. */
const groups: ReadonlyArray<readonly [string, (all: readonly Ingredient[]) => Table]> = [
  ['Where each style wants the dough', () => styleTable('window')],
  [
    'How much water each thing absorbs',
    (all) =>
      all
        .filter((i) => i.absorption.value > 0 && !roles[i.role].atSignal)
        .map((i) => [`thirst:${i.id}`, settable(i.name, i.absorption, 0, mostAbsorption)] as const),
  ],
  ['The dough model', () => tableOf(coefficients)],
  ['How a dough rises', () => tableOf(riseFigures)],
  ['Protein that each style wants', () => styleTable('protein')],
  ['What the oven takes', () => styleTable('loss')],
  [
    'Yeasts that do the work of a gram of instant',
    () =>
      Object.entries(massPerWork)
        .filter(([kind]) => kind !== 'instant')
        .map(([kind, row]) => [`yeast:${kind}` as YeastFigure, row] as const),
  ],
  ['What holds a bread for a goal together', () => tableOf(structureFigures)],
];

/**
 * Every figure that a household may set, with its unit, spread and source.
 *
 * @param all the pantry's ingredients as the catalogue and their labels have them
 * @example figureGroups(catalogue, {'window:bagel:low': -9})[0].rows[0].own // −9
 */
export const figureGroups = (all: readonly Ingredient[], own: OwnFigures): FigureGroup[] =>
  groups.map(([title, table]) => ({
    title,
    rows: table(all).map(([key, { label, value, unit, sd, source, least, most }]) => ({
      ...{ key, label, value, unit, sd, source, least, most },
      ...(own[key] === undefined ? {} : { own: own[key] }),
    })),
  }));

/** What is wrong with a figure that a household set: its field is the figure's key. */
type FigureProblem = Refusal<'unknown' | 'beyond' | 'upside-down'> & {
  readonly field: string;
};

/**
 * What is wrong with figures that a household wants to set: keys of none, values beyond their range, a
 * window or span that would be upside down.
 *
 * @param all the pantry's ingredients
 * @example figureProblems(catalogue, {'thirst:bread-flour': 999}) // [{…, says: 'from 0 to 20'}]
 */
export function figureProblems(all: readonly Ingredient[], own: OwnFigures): FigureProblem[] {
  const rows = new Map<string, FigureRow>(
    figureGroups(all, {}).flatMap((g) => g.rows.map((r) => [r.key, r] as const)),
  );
  const problems = Object.entries(own).flatMap(([field, value]): FigureProblem[] => {
    const row = rows.get(field);
    if (!row) return [{ code: 'unknown', field, says: 'is no figure that can be set' }];
    return isInRange(row, value!)
      ? []
      : [{ code: 'beyond', field, says: `must be from ${row.least} to ${row.most}` }];
  });
  return [...problems, ...upsideDown(own)];
}

/** Spans whose ends would change places, at the end that the household set. */
const upsideDown = (own: OwnFigures): FigureProblem[] =>
  styleIds.flatMap((style) =>
    spans.flatMap((span): FigureProblem[] => {
      const [low, high] = [`${span}:${style}:low`, `${span}:${style}:high`] as const;
      const [setLow, setHigh] = [own[low], own[high]];
      if (setLow === undefined && setHigh === undefined) return [];
      const [from, to] = [styleFigures[low].value, styleFigures[high].value];
      if ((setLow ?? from) < (setHigh ?? to)) return [];
      const it = span === 'window' ? 'the window' : 'it';
      return setLow === undefined
        ? [{ code: 'upside-down', field: high, says: `must be above ${from}, where ${it} begins` }]
        : [
            {
              code: 'upside-down',
              field: low,
              says: `must be below ${setHigh ?? to}, where ${it} ends`,
            },
          ];
    }),
  );

/** The figures of a household that can be; what an earlier version let through is left out. */
export function soundFigures(all: readonly Ingredient[], own: OwnFigures): OwnFigures {
  const wrong = new Set(figureProblems(all, own).map((p) => p.field));
  return wrong.size === 0
    ? own
    : Object.fromEntries(Object.entries(own).filter(([key]) => !wrong.has(key)));
}
