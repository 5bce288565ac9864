import { figure, fromMemory, ownModel, type Figure } from '../figure/figure.ts';

/** The stretch of the level that a style of dough wants, in points. */
export type Window = readonly [low: number, high: number];

/** All that is known of a style of bread: what the baker is after decides where the dough should stand. */
export interface Style {
  readonly name: string;
  /** As it stands in a sentence: "too loose for …". */
  readonly inSentence: string;
  readonly window: Window;
  /** Protein of the flour blend that it wants, g per 100 g, as is. */
  readonly protein: readonly [low: number, high: number];
  /** Its aim of protein counts the bran of whole grain in already. */
  readonly branCounted: boolean;
  /** Water that the oven takes. */
  readonly loss: Figure;
}

const tin = figure(0.12, 'share of the dough', 0.02, fromMemory('pan loaves lose 10 to 15 %'));
const hearth = figure(
  0.18,
  'share of the dough',
  0.03,
  fromMemory('hearth loaves lose 15 to 22 %'),
);

const style = (
  name: string,
  inSentence: string,
  window: Window,
  protein: Style['protein'],
  more: Partial<Style> = {},
): Style => ({ name, inSentence, window, protein, branCounted: false, loss: tin, ...more });

/** One row a style. Windows overlap by nature: they are where bakers succeed. */
export const styles = {
  bagel: style('bagel', 'bagels', [-10, -5], [12, 14.5]),
  plait: style('plaited or enriched', 'a plait or enriched loaf', [-6, 1], [11, 13]),
  rolls: style('rolls', 'rolls', [-6, 3], [11, 13]),
  pan: style('machine or tin loaf', 'a machine or tin loaf', [-3, 4], [12, 14]),
  'wholegrain-pan': style('whole-grain tin loaf', 'a whole-grain tin loaf', [0, 7], [13.5, 15], {
    branCounted: true,
  }),
  pizza: style('pizza', 'pizza', [-2, 6], [11.5, 13]),
  flatbread: style('flatbread', 'flatbread', [-2, 8], [10, 13]),
  'hearth-white': style('hearth sourdough, white', 'a white hearth sourdough', [6, 14], [11, 14], {
    loss: hearth,
  }),
  'hearth-wholegrain': style(
    'hearth sourdough, whole grain',
    'a whole-grain hearth sourdough',
    [5, 13],
    [11, 15],
    { loss: hearth, branCounted: true },
  ),
  'low-carb': style('low-carb', 'a low-carb bread', [-6, 6], [0, 100]),
} as const satisfies Record<string, Style>;

export type StyleId = keyof typeof styles;
export const styleIds = Object.keys(styles) as StyleId[];

/** The style of a bread that stands on its dry base, whatever its shape. */
export const dryBaseStyle: StyleId = 'low-carb';

export const windowSource = ownModel;
