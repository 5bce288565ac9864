import { figure, fromMemory, ownModel, type Figure } from '../figure/figure.ts';
import { baking, type Baking } from './baking.ts';
import { flat, inPot, shapedTo, stirred, tinned, underSteam, type Nature } from './nature.ts';

/** The stretch of the level that a style of dough wants, in points. */
export type Window = readonly [low: number, high: number];

/** All that is known of a style of bread: what the baker is after decides where the dough should stand. */
export interface Style extends Nature {
  readonly name: string;
  /** As it stands in a sentence: "too loose for …". */
  readonly inSentence: string;
  readonly window: Window;
  /** How far an end of the window is in doubt, standard deviation in points. Wide where few breads are known. */
  readonly edge: number;
  /** Protein of the flour blend that it wants, g per 100 g, as is. */
  readonly protein: readonly [low: number, high: number];
  /** Its aim of protein counts the bran of whole grain in already. */
  readonly branCounted: boolean;
  /** Its dough must form a ball for a machine's paddle. */
  readonly machine: boolean;
  /** Salt that is customary in it, % of flour, where that is not the household's usual span. Common practice, no source. */
  readonly salt?: readonly [least: number, most: number];
  /** Water that the oven takes. */
  readonly loss: Figure;
  /** How it is baked and cooled. */
  readonly baking: Baking;
  /** What a state of the dough is for this bread, where the words for a ball would be untrue. */
  readonly words: Partial<Readonly<Record<string, string>>>;
}

const tin = figure(0.12, 'share of the dough', 0.02, fromMemory('pan loaves lose 10 to 15 %'));
const hearth = figure(
  0.18,
  'share of the dough',
  0.03,
  fromMemory('hearth loaves lose 15 to 22 %'),
);

const boiledOrFlat = figure(
  0.1,
  'share of the dough',
  0.02,
  fromMemory('rolls, flatbreads, pizza and boiled rings lose 8 to 12 %'),
);
const thin = figure(0.25, 'share of the dough', 0.05, fromMemory('thin sticks lose over 20 %'));

const lean = [93, 99] as const;
const enriched = [88, 93] as const;
const tinLoaf = baking(190, 27, 0.5, lean);
/** In a lidded pot, lid on and off. */
const potLoaf = baking(240, 38, 0.8, lean, { heating: 45, cooling: 90 });

const style = (
  name: string,
  inSentence: string,
  window: Window,
  protein: Style['protein'],
  nature: Nature,
  more: Partial<Style> = {},
): Style => ({
  ...nature,
  name,
  inSentence,
  window,
  edge: 1.5,
  protein,
  branCounted: false,
  machine: false,
  loss: tin,
  baking: tinLoaf,
  words: {},
  ...more,
});

/**
 * One row a style. Windows overlap by nature: they are where bakers succeed. They are from memory, and
 * held against customary breads (see docs/validation.md); where few of those stand behind one, its edge
 * is wide.
 */
export const styles = {
  bagel: style('bagel', 'bagels', [-11, -3], [12, 14.5], shapedTo('rings'), {
    loss: boiledOrFlat,
    baking: baking(220, 20, 0.11, lean, { cooling: 20 }, fromMemory('boiled rings')),
  }),
  plait: style(
    'plaited or enriched',
    'a plait or enriched loaf',
    [-6, 3],
    [10.5, 13],
    shapedTo('plait'),
    {
      baking: baking(180, 30, 0.7, enriched),
    },
  ),
  rolls: style('rolls', 'rolls', [-6, 5], [10.5, 13], shapedTo('rolls'), {
    loss: boiledOrFlat,
    baking: baking(210, 15, 0.08, lean, { cooling: 20 }),
  }),
  pan: style('machine or tin loaf', 'a machine or tin loaf', [-3, 5], [12, 14], tinned, {
    machine: true,
  }),
  'wholegrain-pan': style(
    'whole-grain tin loaf',
    'a whole-grain tin loaf',
    [-1, 8],
    [13.5, 15],
    tinned,
    {
      branCounted: true,
      machine: true,
    },
  ),
  pizza: style(
    'pizza',
    'pizza',
    [-2, 6],
    [11.5, 13],
    { ...flat, form: 'balls' },
    {
      salt: [0.9, 3.2],
      loss: boiledOrFlat,
      baking: baking(250, 11, 0.25, lean, { heating: 30, cooling: 0 }),
    },
  ),
  flatbread: style(
    'flatbread',
    'flatbread',
    [-2, 9],
    [10, 13],
    { ...flat, rises: false },
    {
      loss: boiledOrFlat,
      baking: baking(230, 14, 0.4, lean, { cooling: 10 }),
    },
  ),
  'rolled-thin': style(
    'rolled thin',
    'a dough rolled thin',
    [-10, 0],
    [9, 13],
    { ...tinned, rises: false },
    {
      salt: [0.5, 3],
      loss: thin,
      baking: baking(210, 14, 0.05, lean, { cooling: 15 }),
      words: { tight: 'tight, which rolls out thin without sticking' },
    },
  ),
  griddle: style(
    'griddle bread',
    'a griddle bread',
    [7, 16],
    [10, 13],
    { ...tinned, rises: false },
    {
      edge: 3,
      loss: boiledOrFlat,
      baking: baking(200, 12, 0.1, lean, { heating: 5, cooling: 0 }),
      words: {
        slack: 'slack: it spreads to a round by itself, which a griddle wants',
        batter: 'a thick batter that pours',
      },
    },
  ),
  slack: style('pan pizza, focaccia, ciabatta', 'a slack dough', [7, 20], [11, 14], flat, {
    salt: [0.9, 3],
    loss: boiledOrFlat,
    baking: baking(230, 22, 0.7, lean, { heating: 20, cooling: 15 }),
    words: {
      slack: 'slack: folded with wet hands, never kneaded on the bench',
      batter: 'so wet that it is poured into its tin',
    },
  }),
  'hearth-yeast': style(
    'lean hearth loaf with yeast',
    'a lean hearth loaf',
    [-2, 11],
    [10.3, 13],
    underSteam,
    {
      loss: hearth,
      baking: baking(230, 32, 0.7, lean, { heating: 30, cooling: 60 }),
    },
  ),
  'hearth-white': style(
    'hearth sourdough, white',
    'a white hearth sourdough',
    [4, 15],
    [10.3, 14],
    inPot,
    { loss: hearth, baking: potLoaf },
  ),
  'hearth-wholegrain': style(
    'hearth sourdough, whole grain',
    'a whole-grain hearth sourdough',
    [3, 15],
    [10.3, 15],
    inPot,
    { loss: hearth, branCounted: true, baking: potLoaf },
  ),
  rye: style(
    'rye, half or more',
    'a rye bread',
    [-4, 19],
    [7, 13],
    { ...tinned, touch: 'rye', littleGluten: true, eaten: 'later' },
    {
      edge: 3,
      baking: baking(
        200,
        55,
        0.9,
        [97, 99],
        { heating: 20, cooling: 24 * 60 },
        fromMemory('rye is cut after 24 to 48 h'),
      ),
      branCounted: true,
      words: {
        dry: 'a paste too stiff to stir',
        tight: 'a stiff paste that keeps its shape',
        'firm and smooth': 'a firm paste, shaped with wet hands',
        'tacky ball': 'a paste that sticks to everything, as rye does',
        soft: 'a soft paste, smoothed with a wet spatula',
        slack: 'a soft, spreading paste: it goes into a tin',
        batter: 'a loose paste that needs its tin',
      },
    },
  ),
  rich: style(
    'butter- and egg-rich',
    'a dough rich in butter and egg',
    [-3, 18],
    [10.5, 14],
    tinned,
    {
      edge: 3,
      baking: baking(180, 30, 0.6, enriched),
      words: {
        soft: 'soft before the butter; chilled it is firm enough to shape',
        slack: 'very soft while warm: it is shaped cold',
        batter: 'loose while warm: it is shaped cold, or baked in its tin',
      },
    },
  ),
  laminated: style('laminated', 'a laminated dough', [-11, -3], [10.5, 13], shapedTo('rolls'), {
    edge: 3,
    baking: baking(195, 20, 0.08, lean, { heating: 20, cooling: 20 }),
    words: { tight: 'tight, so that the butter is rolled out in it and not into it' },
  }),
  'fruit-rich': style(
    'full of fruit and butter',
    'a dough full of fruit and butter',
    [-16, 0],
    [10, 13],
    { ...tinned, eaten: 'later' },
    {
      edge: 4,
      baking: baking(170, 50, 0.9, lean, { cooling: 120 }),
      words: { dry: 'short and crumbly, as one full of butter and fruit is' },
    },
  ),
  'low-carb': style(
    'low-carb',
    'a low-carb bread',
    [-8, 10],
    [0, 100],
    { ...tinned, touch: 'low-carb', eaten: 'later', cut: 'Chilled it cuts cleanest and thinnest.' },
    {
      edge: 3,
      baking: baking(165, 45, 0.6, [93, 99], { cooling: 120 }),
      salt: [0.5, 3],
      words: {
        'firm and smooth': 'a firm, springy dough, more rubber than ball',
        'tacky ball': 'a springy, slightly sticky dough',
        soft: 'a soft, sticky dough that fibre still stiffens',
      },
    },
  ),
  'stirred-tin': style(
    'stirred, in a tin',
    'a loaf that is stirred and not kneaded',
    [9, 24],
    [10.5, 15],
    stirred,
    {
      edge: 3,
      branCounted: true,
      baking: baking(200, 45, 0.9, lean),
      words: {
        soft: 'a soft dough that a spoon still turns',
        slack: 'so soft that it takes the shape of its tin',
        batter: 'a thick, wet mass that is scraped into its tin',
      },
    },
  ),
  quick: style(
    'raised by soda or powder',
    'a bread raised by soda or powder',
    [5, 26],
    [8.5, 13],
    { ...stirred, rises: false, eaten: 'at once' },
    {
      edge: 3,
      branCounted: true,
      salt: [0.5, 2.2],
      baking: baking(200, 40, 0.9, [95, 99], { cooling: 30 }),
      words: {
        soft: 'soft and shaggy: it is patted together, not kneaded',
        slack: 'soft and sticky: floured hands turn it into a round',
        batter: 'a thick, wet mass that drops from a spoon',
      },
    },
  ),
  steamed: style(
    'steamed',
    'steamed buns',
    [-9, 3],
    [8.5, 11.5],
    { ...shapedTo('rolls'), stands: 'steamer' },
    {
      edge: 3,
      // It takes water up rather than losing it.
      loss: figure(0, 'share of the dough', 0.02, fromMemory('steamed buns gain a little weight')),
      salt: [0, 2.2],
      baking: baking(100, 14, 0.06, lean, { heating: 10, cooling: 5 }),
    },
  ),
  'gluten-free': style(
    'without gluten grains',
    'a bread without gluten grains',
    [-10, 29],
    [0, 100],
    { ...tinned, littleGluten: true },
    {
      edge: 10,
      baking: baking(190, 45, 0.7, [93, 99], { cooling: 120 }),
      words: {
        dry: 'a stiff dough that cracks',
        slack: 'a soft mass that is spread with a wet spatula',
        batter: 'a thick batter, as most of these breads are',
      },
    },
  ),
} as const satisfies Record<string, Style>;

export type StyleId = keyof typeof styles;
export const styleIds = Object.keys(styles) as StyleId[];

/** What a bread is taken for that nobody named and that looks like none: baked in a tin, as most are. Common practice, no source. */
export const usualStyle: StyleId = 'pan';

/** The style of a bread that stands on its dry base, whatever its shape. */
export const dryBaseStyle: StyleId = 'low-carb';

export const windowSource = ownModel;
