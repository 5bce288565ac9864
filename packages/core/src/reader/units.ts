import type { MassUnit } from '../quantity/mass.ts';
import type { VolumeUnit } from '../quantity/measures.ts';
import type { PieceUnit } from './piece-weights.ts';

/** A unit as a recipe writes it. */
export type ReadUnit =
  | { readonly kind: 'mass'; readonly unit: MassUnit }
  | { readonly kind: 'volume'; readonly unit: VolumeUnit }
  /** Counted, in packets, tins, cloves … */
  | { readonly kind: 'piece'; readonly unit: PieceUnit };

const mass = (unit: MassUnit): ReadUnit => ({ kind: 'mass', unit });
const piece = (unit: PieceUnit): ReadUnit => ({ kind: 'piece', unit });
const volume = (unit: VolumeUnit): ReadUnit => ({ kind: 'volume', unit });

/** Spellings in lower case; `T` and `t` alone keep their case, see {@link unitNamed}. */
const spellings: ReadonlyArray<readonly [ReadUnit, readonly string[]]> = [
  [
    mass('g'),
    ['g', 'gr', 'gm', 'gms', 'gram', 'grams', 'gramme', 'grammes', 'gramm', 'grammi', 'grammo'],
  ],
  [
    mass('kg'),
    ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms', 'kilogramme', 'kilogrammes'],
  ],
  [mass('mg'), ['mg']],
  [mass('oz'), ['oz', 'ozs', 'ounce', 'ounces']],
  [mass('lb'), ['lb', 'lbs', 'pound', 'pounds', '#']],
  [volume('ml'), ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc']],
  [volume('dl'), ['dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters']],
  [volume('l'), ['l', 'litre', 'litres', 'liter', 'liters']],
  [volume('cup'), ['cup', 'cups', 'c']],
  [
    volume('tbsp'),
    [
      'tbsp',
      'tbsps',
      'tbs',
      'tbl',
      'tb',
      'tblsp',
      'tbspn',
      'table spoon',
      'table spoons',
      'tablespoon',
      'tablespoons',
      'tablespoonful',
      'el',
      'esslöffel',
      'cuillère à soupe',
      'cuillères à soupe',
      'c. à soupe',
      'càs',
      'cucchiaio',
      'cucchiai',
      'tablespoonfuls',
    ],
  ],
  [
    volume('tsp'),
    [
      'tsp',
      'tsps',
      'tspn',
      'tea spoon',
      'tea spoons',
      'teaspoon',
      'teaspoons',
      'teaspoonful',
      'tl',
      'teelöffel',
      'cuillère à café',
      'cuillères à café',
      'c. à café',
      'càc',
      'cucchiaino',
      'cucchiaini',
      'teaspoonfuls',
    ],
  ],
  [
    volume('floz'),
    ['fl oz', 'fl. oz', 'fl.oz', 'floz', 'fluid ounce', 'fluid ounces', 'fl ounces', 'fl ounce'],
  ],
  [volume('pint'), ['pint', 'pints', 'pt']],
  [volume('quart'), ['quart', 'quarts', 'qt', 'qts']],
  [volume('gallon'), ['gallon', 'gallons', 'gal']],
  [volume('cl'), ['cl', 'centilitre', 'centilitres', 'centiliter']],
  [volume('dsp'), ['dsp', 'dessertspoon', 'dessertspoons', 'dessert spoon', 'dessert spoons']],
  [
    volume('pinch'),
    [
      'pinch',
      'pinches',
      'prise',
      'prisen',
      'pincée',
      'pincées',
      'pizzico',
      'dash',
      'dashes',
      'sprinkle',
      'sprinkling',
    ],
  ],
  [
    piece('packet'),
    [
      'packet',
      'packets',
      'päckchen',
      'päck',
      'pck',
      'bustina',
      'bustine',
      'sachet de',
      'package',
      'packages',
      'pkg',
      'pkgs',
      'pkt',
      'sachet',
      'sachets',
    ],
  ],
  [piece('packet'), ['envelope', 'envelopes', 'pack', 'packs', 'pouch', 'pouches']],
  [piece('stick'), ['stick', 'sticks']],
  [piece('cube'), ['cube', 'cubes', 'würfel', 'cubetto', 'block', 'blocks']],
  [piece('cake'), ['cake', 'cakes']],
  [piece('clove'), ['clove', 'cloves']],
  [piece('bunch'), ['bunch', 'bunches']],
  [piece('handful'), ['handful', 'handfuls', 'handvoll', 'poignée']],
  [piece('sprig'), ['sprig', 'sprigs']],
  [piece('knob'), ['knob', 'knobs']],
  [piece('splash'), ['splash', 'drizzle', 'glug', 'glugs', 'dollop']],
  [piece('tin'), ['tin', 'tins', 'can', 'cans', 'bottle', 'bottles']],
  [piece('jar'), ['jar', 'jars']],
  [piece('slice'), ['slice', 'slices']],
  [piece('head'), ['head', 'heads']],
];

const bySpelling: ReadonlyMap<string, ReadUnit> = new Map(
  spellings.flatMap(([unit, words]) => words.map((word) => [word, unit] as const)),
);

/** Source of a regular expression for any unit, longest first, with the full stop that may follow. */
export const unitPattern = `(?:${[...bySpelling.keys()]
  .sort((a, b) => b.length - a.length)
  .map((word) => word.replaceAll('.', String.raw`\.`).replaceAll(' ', String.raw`\s+`))
  .join('|')})(?![\\p{L}])\\.?`;

/**
 * The unit of a spelling.
 *
 * @example unitNamed('T') // a tablespoon
 * @example unitNamed('t') // a teaspoon
 */
export function unitNamed(text: string): ReadUnit | undefined {
  const bare = text.trim().replace(/\.$/, '');
  if (bare === 'T') return volume('tbsp');
  if (bare === 't') return volume('tsp');
  return bySpelling.get(bare.toLowerCase().replace(/\s+/g, ' '));
}
