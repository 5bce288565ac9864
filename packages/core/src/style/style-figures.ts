import { figure, commonPractice } from '../figure/figure.ts';
import { isInRange, settable, type OwnValues, type Settable } from '../figure/settable.ts';
import { styleIds, styles, windowSource, type Style, type StyleId } from './style.ts';

const ends = ['low', 'high'] as const;
type End = (typeof ends)[number];
/** Pairs of a style whose ends must not change places. */
export const spans = ['window', 'protein'] as const;
type Span = (typeof spans)[number];

/** Keys under which a household sets what a style wants. */
export type StyleFigure = `${Span}:${StyleId}:${End}` | `loss:${StyleId}`;

/** Ends of the level as it is drawn, with room to spare. */
const furthest = 30;

const spanRows = {
  window: {
    says: (style: string) => style,
    unit: 'points',
    sd: 1,
    source: windowSource,
    least: -furthest,
    most: furthest,
  },
  protein: {
    says: (style: string) => `protein of ${style}`,
    unit: 'g per 100 g',
    sd: 0.5,
    source: commonPractice,
    least: 0,
    most: 100,
  },
} as const satisfies Record<Span, object>;
const endNames: Readonly<Record<End, string>> = { low: 'from', high: 'to' };

const rowsOf = (id: StyleId): Array<readonly [StyleFigure, Settable]> => {
  const { name, loss } = styles[id];
  const ofSpans = spans.flatMap((span) => {
    const { unit, sd, source, least, most, says } = spanRows[span];
    return ends.map((end, i) => {
      const value = figure(styles[id][span][i]!, unit, sd, source);
      const row = settable(`${says(name)}, ${endNames[end]}`, value, least, most);
      return [`${span}:${id}:${end}`, row] as const;
    });
  });
  return [...ofSpans, [`loss:${id}`, settable(`bake loss of ${name}`, loss, 0, 0.4)]];
};

/** What each style wants, as figures that a household may set. */
export const styleFigures = Object.fromEntries(styleIds.flatMap(rowsOf)) as Readonly<
  Record<StyleFigure, Settable>
>;

const value = (key: StyleFigure, own: OwnValues): number => {
  const set = own[key];
  const row = styleFigures[key];
  return set !== undefined && isInRange(row, set) ? set : row.value;
};

/** A pair as the household has it; one that would be upside down is left as it was. */
function span(of: Span, id: StyleId, own: OwnValues): readonly [number, number] {
  const [low, high] = [value(`${of}:${id}:low`, own), value(`${of}:${id}:high`, own)];
  return low < high ? [low, high] : styles[id][of];
}

/** Own figures are values: a style is worked out once for each. */
const known = new WeakMap<OwnValues, Partial<Record<StyleId, Style>>>();
const nothingSet: OwnValues = {};

/**
 * A style as a household has it: its own figures over the table's.
 *
 * @example styleIn('pan', {'window:pan:low': -2}).window // [-2, 5]
 */
export function styleIn(id: StyleId, own: OwnValues = nothingSet): Style {
  const here = known.get(own) ?? {};
  known.set(own, here);
  return (here[id] ??= {
    ...styles[id],
    window: span('window', id, own),
    protein: span('protein', id, own),
    loss: { ...styles[id].loss, value: value(`loss:${id}`, own) },
  });
}
