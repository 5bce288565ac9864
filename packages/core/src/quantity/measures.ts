/**
 * The household's kitchen measures. A cup is never assumed silently: the same recipe in another
 * household's cups is another dough.
 */
export interface Measures {
  readonly cup: CupKind;
  readonly tablespoon: TablespoonKind;
  /** How flour gets into the cup. */
  readonly fill: Fill;
  readonly egg: EggKind;
  /** What the household's own cup of a thing weighs, by ingredient, where it was weighed. */
  readonly cups?: Readonly<Record<string, WeighedCup>>;
}

/** A cup that was weighed, several times. */
export interface WeighedCup {
  /** The weighings, grams a cup of the household's own. */
  readonly weighings: readonly number[];
  /** Millilitres of the cup that was weighed. */
  readonly millilitres: number;
}

/** Millilitres. US and imperial: CLDR units.json (checked in the tests); metric: by definition. */
export const cupMillilitres = { us: 236.5882365, metric: 250, imperial: 284.130625 } as const;
/** Millilitres. US: CLDR units.json; metric: by definition; the 20 ml spoon: common practice, no source. */
export const tablespoonMillilitres = { us: 14.78676478125, metric: 15, australian: 20 } as const;
/** Millilitres: a third of a US tablespoon with US spoons, 5 with the metric and the 20 ml one. */
export const teaspoonMillilitres = { us: 4.92892159375, metric: 5, australian: 5 } as const;
/** Grams without shell: common practice by country and size, no source; sd about 6 %. */
export const eggGrams = {
  'us-large': 50,
  'us-medium': 44,
  'eu-medium': 50,
  'eu-large': 58,
} as const;

type CupKind = keyof typeof cupMillilitres;
type TablespoonKind = keyof typeof tablespoonMillilitres;
type EggKind = keyof typeof eggGrams;
export const fills = ['spooned', 'dipped', 'fresh'] as const;
export type Fill = (typeof fills)[number];

export const defaultMeasures: Measures = {
  cup: 'us',
  tablespoon: 'us',
  fill: 'spooned',
  egg: 'us-large',
};

/** Units of volume that a recipe may be written in. */
export const volumeUnits = [
  'ml',
  'dl',
  'l',
  'cup',
  'tbsp',
  'tsp',
  'floz',
  'pint',
  'quart',
  'gallon',
  'cl',
  'dsp',
  'pinch',
] as const;
export type VolumeUnit = (typeof volumeUnits)[number];

/** Millilitres in a fluid ounce, of the cup's school. Source: CLDR units.json. */
const fluidOunce = { us: 29.5735295625, metric: 29.5735295625, imperial: 28.4130625 } as const;
/** A dessert spoon: two teaspoons. Common practice, no source. */
const teaspoonsInDessertSpoon = 2;

/**
 * Millilitres of a kitchen measure in this household's conventions.
 * A pinch is a sixteenth of a teaspoon (common practice, no source; sd about 40 %).
 *
 * @example toMillilitres(1, 'cup', {...defaultMeasures, cup: 'metric'}) // 250
 */
export const toMillilitres = (amount: number, unit: VolumeUnit, measures: Measures): number =>
  amount * millilitresPer[unit](measures);

const millilitresPer: Record<VolumeUnit, (measures: Measures) => number> = {
  ml: () => 1,
  dl: () => 100,
  l: () => 1000,
  cup: (m) => cupMillilitres[m.cup],
  tbsp: (m) => tablespoonMillilitres[m.tablespoon],
  tsp: (m) => teaspoonMillilitres[m.tablespoon],
  floz: (m) => fluidOunce[m.cup],
  pint: (m) => 2 * cupMillilitres[m.cup],
  quart: (m) => 4 * cupMillilitres[m.cup],
  gallon: (m) => 16 * cupMillilitres[m.cup],
  cl: () => 10,
  dsp: (m) => teaspoonsInDessertSpoon * teaspoonMillilitres[m.tablespoon],
  pinch: (m) => teaspoonMillilitres[m.tablespoon] / 16,
};
