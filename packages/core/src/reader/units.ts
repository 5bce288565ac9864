import type { MassUnit } from '../quantity/mass.ts';
import type { VolumeUnit } from '../quantity/measures.ts';

/** A unit as a recipe writes it. */
export type ReadUnit =
  | { readonly kind: 'mass'; readonly unit: MassUnit }
  | { readonly kind: 'volume'; readonly unit: VolumeUnit }
  | { readonly kind: 'packet' }
  | { readonly kind: 'stick' };

const mass = (unit: MassUnit): ReadUnit => ({ kind: 'mass', unit });
const volume = (unit: VolumeUnit): ReadUnit => ({ kind: 'volume', unit });

/** Spellings in lower case; `T` and `t` alone keep their case, see {@link unitNamed}. */
const spellings: ReadonlyArray<readonly [ReadUnit, readonly string[]]> = [
  [mass('g'), ['g', 'gr', 'gm', 'gms', 'gram', 'grams', 'gramme', 'grammes']],
  [mass('kg'), ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms']],
  [mass('mg'), ['mg']],
  [mass('oz'), ['oz', 'ounce', 'ounces']],
  [mass('lb'), ['lb', 'lbs', 'pound', 'pounds']],
  [volume('ml'), ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters', 'cc']],
  [volume('dl'), ['dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters']],
  [volume('l'), ['l', 'litre', 'litres', 'liter', 'liters']],
  [volume('cup'), ['cup', 'cups', 'c']],
  [
    volume('tbsp'),
    ['tbsp', 'tbsps', 'tbs', 'tbl', 'tablespoon', 'tablespoons', 'tablespoonful', 'tablespoonfuls'],
  ],
  [volume('tsp'), ['tsp', 'tsps', 'teaspoon', 'teaspoons', 'teaspoonful', 'teaspoonfuls']],
  [volume('floz'), ['fl oz', 'fl. oz', 'fluid ounce', 'fluid ounces']],
  [volume('pint'), ['pint', 'pints', 'pt']],
  [volume('quart'), ['quart', 'quarts', 'qt']],
  [volume('pinch'), ['pinch', 'pinches', 'dash', 'dashes']],
  [
    { kind: 'packet' },
    [
      'packet',
      'packets',
      'package',
      'packages',
      'pkg',
      'sachet',
      'sachets',
      'envelope',
      'envelopes',
      'pack',
      'packs',
    ],
  ],
  [{ kind: 'stick' }, ['stick', 'sticks']],
];

const bySpelling: ReadonlyMap<string, ReadUnit> = new Map(
  spellings.flatMap(([unit, words]) => words.map((word) => [word, unit] as const)),
);

/** Source of a regular expression for any unit, longest first, with the full stop that may follow. */
export const unitPattern = `(?:${[...bySpelling.keys()]
  .sort((a, b) => b.length - a.length)
  .map((word) => word.replaceAll('.', String.raw`\.`))
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
  return bySpelling.get(bare.toLowerCase());
}
