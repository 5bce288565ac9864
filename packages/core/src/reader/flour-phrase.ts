import { wordsOf } from './words.ts';

/** Grains, by the words that bakers of several countries have for them. From memory, no source. */
const grains = {
  wheat: 'wheat weizen ble froment grano frumento tarwe',
  rye: 'rye roggen seigle segale',
  spelt: 'spelt dinkel epeautre spelta',
  einkorn: 'einkorn engrain monococco',
  emmer: 'emmer dicocco',
  khorasan: 'khorasan',
  durum: 'durum semola semolina duro hartweizen',
  barley: 'barley gerste gersten orge orzo',
  oat: 'oat hafer avoine avena',
  buckwheat: 'buckwheat buchweizen sarrasin saraceno',
  rice: 'rice reis riz riso',
  atta: 'atta',
} as const;
type Grain = keyof typeof grains;

/** What else a flour is called by: each word says one thing of it. From memory, no source. */
const saying = {
  noun: 'flour mehl farine farina meal',
  whole:
    'whole graham wholemeal wholegrain wholewheat vollkorn complet complete integral integrale',
  fresh: 'fresh freshly home just',
  milled: 'milled ground',
  very: 'very extra super',
  strong: 'strong bread baker hard',
  soft: 'soft weak cake pastry',
  plain: 'plain purpose ap cream household standard multipurpose',
  white: 'white light blanche bianca weiss hell helle',
  medium: 'medium',
  dark: 'dark dunkel dunkle',
  sifted: 'sifted bolted extraction brown wheatmeal clear',
  sprouted: 'sprouted',
  noise: `organic unbleached bleached enriched untreated stone stoneground coarse coarsely fine finely local bio biologique
    biologica biologico type typ tipo tradition traditional de di da du la of the for from and all grain tenero tendre red spring winter roller chakki rimacinata turkey fife
    heritage good quality your own my our best premium grade high percent sturdy english french italian german canadian american petit`,
} as const;
type Said = keyof typeof saying;

const wordSet = (words: string): ReadonlySet<string> =>
  new Set(words.split(/\s+/).flatMap(wordsOf));
const grainOf = new Map(
  (Object.keys(grains) as Grain[]).flatMap((g) =>
    [...wordSet(grains[g])].map((w) => [w, g] as const),
  ),
);
const saidBy = new Map<string, Said>(
  (Object.keys(saying) as Said[]).flatMap((s) =>
    [...wordSet(saying[s])].map((w) => [w, s] as const),
  ),
);

/** German writes a flour in one word: "Weizenvollkornmehl". */
const compound =
  /^(weizen|roggen|dinkel|hafer|gersten|emmer|einkorn|buchweizen|hartweizen|reis)?(vollkorn)?(mehl)$/;
const parted = (word: string): string[] => {
  const found = compound.exec(word);
  return found ? found.slice(1).filter(Boolean) : [word];
};

/** A flour's number: ash in German and French types, fineness in Italian ones. */
const number = /^(?:t|w)?(?:00|[012]|\d{2,4})$/;

/** What a phrase says of a flour. */
interface Flour {
  readonly grain: Grain | undefined;
  readonly said: ReadonlySet<Said>;
  readonly number: string | undefined;
  /** An ash number that is low enough for a white flour, or high enough for a whole one, as French types go. */
  readonly french: boolean;
}

function flourIn(words: readonly string[]): Flour | undefined {
  const said = new Set<Said>();
  const named = new Set<Grain>();
  let type: string | undefined;
  let french = false;
  for (const word of words.flatMap(parted)) {
    const grain = grainOf.get(word);
    const saidHere = saidBy.get(word);
    if (grain) named.add(grain);
    else if (saidHere) said.add(saidHere);
    else if (number.test(word) && type === undefined) {
      french = word.startsWith('t');
      type = word.replace(/^[tw]/, '');
    } else return undefined;
  }
  // "Grano duro" and "hard durum wheat" are durum, "grano saraceno" is buckwheat.
  if (named.size > 1) named.delete('wheat');
  if (named.size > 1) return undefined;
  const [grain] = named;
  return { grain, said, number: type === '100' ? undefined : type, french };
}

/** A flour of the catalogue, and whether it is only the nearest one. */
export interface FlourMeant {
  readonly id: string;
  readonly near?: true;
}
const exactly = (id: string): FlourMeant => ({ id });
const nearly = (id: string): FlourMeant => ({ id, near: true });

/** Types of wheat flour: German and French ash numbers, Italian grades. From memory, no source. */
const wheatTypes: Readonly<Record<string, FlourMeant>> = {
  '00': exactly('flour-00'),
  '0': exactly('flour-0'),
  '1': nearly('flour-812'),
  '2': nearly('flour-1050'),
  '405': exactly('flour-405'),
  '45': exactly('flour-405'),
  '550': exactly('flour-550'),
  '55': exactly('flour-550'),
  '700': nearly('flour-550'),
  '65': exactly('flour-812'),
  '812': exactly('flour-812'),
  '80': exactly('flour-1050'),
  '85': nearly('flour-1050'),
  '110': exactly('flour-1050'),
  '1050': exactly('flour-1050'),
  '1600': nearly('whole-wheat'),
  '1700': nearly('whole-wheat'),
  '150': exactly('whole-wheat'),
};
const ryeTypes: Readonly<Record<string, FlourMeant>> = {
  '610': nearly('rye-white'),
  '815': exactly('rye-white'),
  '70': nearly('rye-white'),
  '85': exactly('rye-medium'),
  '997': exactly('rye-medium'),
  '130': exactly('rye-medium'),
  '1150': exactly('rye-medium'),
  '1370': nearly('rye-medium'),
  '170': exactly('rye-whole'),
  '1740': nearly('rye-whole'),
};
const speltTypes: Readonly<Record<string, FlourMeant>> = {
  '630': exactly('spelt-white'),
  '812': nearly('spelt-white'),
  '1050': nearly('spelt-whole'),
};

const one =
  (id: string, ...without: readonly Said[]) =>
  ({ said, number }: Flour): FlourMeant | undefined =>
    number !== undefined || without.some((w) => said.has(w)) ? undefined : exactly(id);

/** What of a grain is meant, grain by grain. */
const byGrain: Readonly<Record<Grain, (flour: Flour) => FlourMeant | undefined>> = {
  wheat: wheat,
  rye: ({ said, number }) => {
    if (number !== undefined) return ryeTypes[number];
    if (said.has('dark')) return exactly('rye-dark');
    if (said.has('white')) return exactly('rye-white');
    return exactly(said.has('medium') ? 'rye-medium' : 'rye-whole');
  },
  spelt: ({ said, number }) => {
    if (number !== undefined) return speltTypes[number];
    return exactly(said.has('white') || said.has('sifted') ? 'spelt-white' : 'spelt-whole');
  },
  einkorn: one('einkorn-whole', 'white'),
  emmer: one('emmer-whole', 'white'),
  khorasan: one('khorasan-whole', 'white'),
  durum: one('durum', 'whole'),
  barley: one('barley-whole'),
  oat: one('oat-flour'),
  buckwheat: one('buckwheat-flour'),
  rice: one('rice-flour', 'whole'),
  atta: one('atta', 'white'),
};

function wheat({ said, number }: Flour): FlourMeant | undefined {
  if (number !== undefined) return wheatTypes[number];
  if (said.has('fresh') && said.has('milled'))
    return exactly(said.has('soft') ? 'fresh-soft-wheat' : 'fresh-hard-wheat');
  if (said.has('whole')) return said.has('soft') ? nearly('whole-wheat') : exactly('whole-wheat');
  if (said.has('sifted')) return nearly('flour-1050');
  if (said.has('strong')) return exactly(said.has('very') ? 'very-strong-flour' : 'bread-flour');
  if (said.has('soft')) return exactly('soft-white-flour');
  return exactly('plain-flour');
}

/**
 * The flour that a phrase speaks of: grain, how whole, its type's number, how strong, milled when, in the words of any
 * of these countries. A word that says nothing of a flour makes another thing of it, and then it is none.
 *
 * @returns undefined where it is no flour, or one whose kind is not known
 * @example flourPhrase('Roggenmehl Type 1150')?.id // 'rye-medium'
 * @example flourPhrase('strong wholemeal bread flour')?.id // 'whole-wheat'
 * @example flourPhrase('peanut flour') // undefined
 */
export function flourPhrase(text: string): FlourMeant | undefined {
  const flour = flourIn(wordsOf(text));
  if (!flour) return undefined;
  const { grain, said, number } = flour;
  const isFlour =
    said.has('noun') ||
    (grain !== undefined && (said.size > 0 || number !== undefined || grain === 'durum'));
  // "Whole wheat" is flour, "red wheat" and "ground" are grain, or nothing.
  if (!isFlour) return undefined;
  if (
    !said.has('noun') &&
    grain === 'wheat' &&
    !['whole', 'fresh', 'sifted', 'sprouted'].some((w) => said.has(w as Said)) &&
    number === undefined
  )
    return undefined;
  if (
    !said.has('noun') &&
    grain !== undefined &&
    grain !== 'wheat' &&
    grain !== 'atta' &&
    grain !== 'durum'
  )
    if (
      !['whole', 'white', 'medium', 'dark', 'milled', 'sprouted'].some((w) =>
        said.has(w as Said),
      ) &&
      number === undefined
    )
      return undefined;
  const meant = byGrain[grain ?? 'wheat'](flour);
  // Sprouted grain is milled whole; how it drinks is the whole flour's as far as anybody wrote it down.
  if (!said.has('sprouted')) return meant;
  return grain === undefined || grain === 'wheat'
    ? nearly('whole-wheat')
    : meant && nearly(meant.id);
}

/** Whether a phrase says that its grain is milled for this bread: no name of a bag does. */
export const isFreshlyMilled = (text: string): boolean =>
  /\b(?:fresh(?:ly)?|home|just)[\s-]+(?:milled|ground)\b/i.test(text);
