import { styleIds, styles, windowNames, windowSource } from '../style/style.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Refusal } from '../quantity/refusal.ts';
import { coefficients, type CoefficientName, type OwnFigures } from './coefficients.ts';

/** One figure that the household may set for itself. */
export interface FigureRow {
  readonly name: string;
  readonly label: string;
  /** The catalogue's or the model's. */
  readonly value: number;
  /** What the household set, where it did. */
  readonly own?: number;
  readonly unit: string;
  readonly sd: number;
  readonly source: string;
  readonly least: number;
  readonly most: number;
}

export interface FigureGroup {
  readonly title: string;
  readonly rows: readonly FigureRow[];
}

/** Thirsts beyond this are no ingredient's. */
const mostThirst = 20;
/** Ends of the level as it is drawn, with room to spare. */
const furthest = 30;

/**
 * Every figure of the dough model with its unit, spread and source: those of the model, the thirst of
 * each thing that drinks, the window of each style.
 *
 * @param all the pantry's ingredients as the catalogue and their labels have them
 * @example figureGroups(catalogue, {softening: 0.25})[0].rows[0].own // .25
 */
export function figureGroups(all: readonly Ingredient[], own: OwnFigures): FigureGroup[] {
  const set = (name: string) => (own[name] === undefined ? {} : { own: own[name] });
  const model = (Object.keys(coefficients) as CoefficientName[]).map((name): FigureRow => {
    const { label, value, unit, sd, source, least, most } = coefficients[name];
    return { name, label, value, unit, sd, source, least, most, ...set(name) };
  });
  const thirsts = all
    .filter((i) => i.thirst.value > 0)
    .map((i): FigureRow => {
      const name = `thirst:${i.id}`;
      const { value, unit, sd, source } = i.thirst;
      return {
        name,
        label: i.name,
        value,
        unit,
        sd,
        source,
        least: 0,
        most: mostThirst,
        ...set(name),
      };
    });
  const ends = styleIds.flatMap((style) =>
    windowNames(style).map((name, i): FigureRow => ({
      name,
      label: `${styles[style].name}, ${i === 0 ? 'from' : 'to'}`,
      value: styles[style].window[i]!,
      unit: 'points',
      sd: 1,
      source: windowSource,
      least: -furthest,
      most: furthest,
      ...set(name),
    })),
  );
  return [
    { title: 'Where each style wants the dough', rows: ends },
    { title: 'How much each thing drinks', rows: thirsts },
    { title: 'The dough model', rows: model },
  ];
}

/** What is wrong with a figure that a household set: its field is the figure's name. */
export type FigureProblem = Refusal<'unknown' | 'beyond' | 'upside-down'> & {
  readonly field: string;
};

/**
 * What is wrong with figures that a household wants to set: names of none, values beyond their range, a
 * window that would be upside down.
 *
 * @param all the pantry's ingredients
 * @example figureProblems(catalogue, {'thirst:bread-flour': 999}) // [{…, says: 'from 0 to 20'}]
 */
export function figureProblems(all: readonly Ingredient[], own: OwnFigures): FigureProblem[] {
  const rows = new Map(figureGroups(all, {}).flatMap((g) => g.rows.map((r) => [r.name, r])));
  const problems = Object.entries(own).flatMap(([name, value]): FigureProblem[] => {
    const row = rows.get(name);
    if (!row) return [{ code: 'unknown', field: name, says: 'is no figure that can be set' }];
    const fits = value >= row.least && value <= row.most;
    return fits
      ? []
      : [{ code: 'beyond', field: name, says: `must be from ${row.least} to ${row.most}` }];
  });
  return [...problems, ...upsideDown(own)];
}

/** Windows whose ends would change places, at the end that the household set. */
const upsideDown = (own: OwnFigures): FigureProblem[] =>
  styleIds.flatMap((style): FigureProblem[] => {
    const [low, high] = windowNames(style);
    const [from, to] = styles[style].window;
    const [setLow, setHigh] = [own[low], own[high]];
    if (setLow === undefined && setHigh === undefined) return [];
    if ((setLow ?? from) < (setHigh ?? to)) return [];
    return setLow === undefined
      ? [
          {
            code: 'upside-down',
            field: high,
            says: `must be above ${from}, where the window begins`,
          },
        ]
      : [
          {
            code: 'upside-down',
            field: low,
            says: `must be below ${setHigh ?? to}, where the window ends`,
          },
        ];
  });

/** The figures of a household that can be; what an earlier version let through is left out. */
export function soundFigures(all: readonly Ingredient[], own: OwnFigures): OwnFigures {
  const wrong = new Set(figureProblems(all, own).map((p) => p.field));
  return wrong.size === 0
    ? own
    : Object.fromEntries(Object.entries(own).filter(([name]) => !wrong.has(name)));
}
