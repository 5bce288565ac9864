import type { Measures } from '../quantity/measures.ts';

/** Where a recipe seems to be from, and how it is measured there. */
export interface RegionGuess {
  /** As it stands in a sentence: "British". */
  readonly name: string;
  /** The words that say so, as they stand in it. */
  readonly because: readonly string[];
  readonly measures: Pick<Measures, 'cup' | 'tablespoon'>;
}

/** Words by which a region's recipes show, and its cups and spoons. From memory, no source. */
const regions: ReadonlyArray<
  readonly [name: string, words: RegExp, measures: RegionGuess['measures']]
> = [
  [
    'American',
    /\b(?:all[- ]purpose|AP flour|bread machine yeast|sticks? (?:of )?butter|kosher salt|molasses|cornstarch|heavy cream|confectioners|rapid rise|packages? (?:active|instant|dry)|quarts?)\b|°\s?F\b/gi,
    { cup: 'us', tablespoon: 'us' },
  ],
  [
    'Australian',
    /\b(?:baker[’']s flour|bi-?carb|lebanese|wholemeal plain flour|plain bread flour|mLs?|20 ?ml tablespoons?)\b/gi,
    { cup: 'metric', tablespoon: 'australian' },
  ],
  [
    'British',
    /\b(?:strong (?:white|wholemeal|brown)|plain flour|caster sugar|tepid|hand-hot|gas mark|fast-action|easy-blend|treacle|black treacle|wholemeal|bicarbonate of soda|knob of|lb tin|sachets?|tsp level|golden syrup|pints?)\b/gi,
    { cup: 'imperial', tablespoon: 'metric' },
  ],
];

/**
 * Where a text's words are from, where they say so of one region alone, or of one more than of all others: a pint, a cup
 * and a tablespoon are not the same everywhere.
 *
 * @example regionOf('1½ lb strong white flour\n¾ pint tepid water')?.name // 'British'
 */
export function regionOf(text: string): RegionGuess | undefined {
  const head = text.slice(0, 20_000);
  const found = regions
    .map(([name, words, measures]) => ({
      name,
      measures,
      because: [...new Set((head.match(words) ?? []).map((w) => w.toLowerCase()))],
    }))
    .sort((a, b) => b.because.length - a.because.length);
  const [first, second] = found;
  return first && first.because.length > (second?.because.length ?? 0) ? first : undefined;
}
