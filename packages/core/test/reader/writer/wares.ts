/** Where somebody who writes a recipe down has the words from. */
export const regions = [
  'us',
  'uk',
  'ireland',
  'australia',
  'india',
  'germany',
  'france',
  'italy',
] as const;
export type Region = (typeof regions)[number];

/** What a ware does in a formula: it decides how much of it there is. */
export type Part =
  'main' | 'second' | 'water' | 'liquid' | 'salt' | 'yeast' | 'fat' | 'sweet' | 'seed' | 'egg';

/** A thing that recipes name, with the words of those who write them: from memory, no source. */
export interface Ware {
  readonly of: string;
  readonly part: Part;
  /** Words that anybody might use; those of a region go before them there. */
  readonly words: readonly string[];
  readonly there?: Readonly<Partial<Record<Region, readonly string[]>>>;
  /** Grams of a US cup, where it is written in cups: as the catalogue of the program has them. */
  readonly inCups?: true;
  readonly inSpoons?: true;
}

const ware = (
  of: string,
  part: Part,
  words: string,
  there: Partial<Record<Region, string>> = {},
  measured: Pick<Ware, 'inCups' | 'inSpoons'> = {},
): Ware => ({
  of,
  part,
  words: words.split('|'),
  there: Object.fromEntries(Object.entries(there).map(([r, w]) => [r, w.split('|')])),
  ...measured,
});
const cups = { inCups: true } as const;
const spoons = { inSpoons: true } as const;

export const wares: readonly Ware[] = [
  ware(
    'bread-flour',
    'main',
    'bread flour|strong flour|white bread flour',
    {
      us: 'bread flour|unbleached bread flour|organic bread flour',
      uk: 'strong white flour|strong white bread flour|strong bread flour',
      ireland: 'strong white flour|strong baker’s flour',
      australia: 'baker’s flour|bread flour|white baker’s flour',
    },
    cups,
  ),
  ware(
    'plain-flour',
    'main',
    'plain flour|white flour|all-purpose flour',
    {
      us: 'all-purpose flour|AP flour|unbleached all-purpose flour|all purpose flour',
      uk: 'plain flour|plain white flour',
      ireland: 'cream flour|plain flour',
      india: 'maida|plain flour',
    },
    cups,
  ),
  ware('flour-550', 'main', 'wheat flour type 550|type 550 flour|T55', {
    germany: 'Weizenmehl Type 550|Weizenmehl 550|Mehl Typ 550|wheat flour (type 550)',
    france: 'farine T55|farine de blé T55|T55 flour',
  }),
  ware('flour-812', 'main', 'T65 flour|type 65 flour', {
    germany: 'Weizenmehl Type 812|Weizenmehl 812',
    france: 'farine T65|farine de tradition T65|farine de blé type 65',
  }),
  ware('flour-1050', 'second', 'wheat flour type 1050', {
    germany: 'Weizenmehl Type 1050|Weizenmehl 1050',
    france: 'farine T80|farine de blé T110',
  }),
  ware('flour-0', 'main', 'tipo 0 flour', {
    italy: 'farina 0|farina tipo 0|farina di grano tenero tipo 0',
  }),
  ware('flour-00', 'main', '00 flour|tipo 00 flour', { italy: 'farina 00|farina tipo 00' }),
  ware(
    'whole-wheat',
    'second',
    'whole wheat flour|wholemeal flour',
    {
      us: 'whole wheat flour|100% whole wheat flour|stone-ground whole wheat flour',
      uk: 'strong wholemeal flour|wholemeal bread flour|strong wholemeal bread flour',
      ireland: 'wholemeal flour|coarse wholemeal flour',
      australia: 'wholemeal flour|wholemeal plain flour',
      germany: 'Weizenvollkornmehl|Weizen-Vollkornmehl',
      france: 'farine complète|farine de blé complète T150',
      italy: 'farina integrale',
    },
    cups,
  ),
  ware(
    'fresh-hard-wheat',
    'second',
    'freshly milled hard wheat|freshly milled hard red wheat|home-milled hard white wheat|fresh milled wheat flour',
    {
      us: 'freshly milled hard white wheat|fresh-milled hard red wheat flour|freshly ground hard wheat',
      australia: 'freshly milled wheat flour',
    },
  ),
  ware('spelt-whole', 'second', 'whole spelt flour|spelt flour|wholegrain spelt flour', {
    uk: 'wholemeal spelt flour|wholegrain spelt flour',
    germany: 'Dinkelvollkornmehl|Dinkel-Vollkornmehl',
  }),
  ware('rye-whole', 'second', 'whole rye flour|rye flour|wholegrain rye flour', {
    uk: 'wholemeal rye flour|wholegrain rye',
    germany: 'Roggenvollkornmehl',
    france: 'farine de seigle T170|farine de seigle complète',
  }),
  ware('rye-medium', 'second', 'medium rye flour', {
    germany: 'Roggenmehl Type 1150|Roggenmehl 1150|Roggenmehl Type 997',
    france: 'farine de seigle T130',
  }),
  ware('durum', 'second', 'durum flour|semolina', {
    italy: 'semola rimacinata|semola di grano duro',
  }),
  ware('atta', 'main', 'atta|chapati flour', { india: 'atta|whole wheat atta|chakki atta' }),
  ware(
    'water',
    'water',
    'water|warm water|lukewarm water|cold water',
    {
      uk: 'tepid water|hand-hot water|water',
      us: 'warm water (110°F)|water, room temperature|lukewarm water',
      germany: 'Wasser|lauwarmes Wasser',
      france: 'eau|eau tiède',
      italy: 'acqua|acqua tiepida',
    },
    cups,
  ),
  ware(
    'milk',
    'liquid',
    'milk|whole milk|scalded milk, cooled|warm milk',
    {
      uk: 'full-fat milk|warm milk',
      germany: 'Milch|lauwarme Milch',
      france: 'lait|lait entier',
      italy: 'latte',
    },
    cups,
  ),
  ware('buttermilk', 'liquid', 'buttermilk', { germany: 'Buttermilch' }, cups),
  ware(
    'salt',
    'salt',
    'salt|fine salt|sea salt|fine sea salt',
    {
      us: 'table salt|fine sea salt|salt',
      germany: 'Salz',
      france: 'sel|sel fin|sel de mer',
      italy: 'sale|sale fino',
    },
    spoons,
  ),
  ware(
    'instant-yeast',
    'yeast',
    'instant yeast|instant dry yeast',
    {
      us: 'instant yeast|rapid rise yeast|bread machine yeast|instant yeast granules',
      uk: 'fast-action dried yeast|easy-blend yeast|fast-action yeast',
      ireland: 'fast-action dried yeast',
      australia: 'instant dried yeast',
    },
    spoons,
  ),
  ware(
    'active-dry-yeast',
    'yeast',
    'active dry yeast|dry yeast',
    {
      us: 'active dry yeast|active-dry yeast',
      uk: 'dried active yeast|active dried yeast',
      germany: 'Trockenhefe',
      france: 'levure sèche active|levure de boulanger sèche',
      italy: 'lievito di birra secco',
    },
    spoons,
  ),
  ware('fresh-yeast', 'yeast', 'fresh yeast', {
    uk: 'fresh yeast|fresh yeast, crumbled',
    germany: 'frische Hefe|Frischhefe|Hefe, frisch',
    france: 'levure fraîche|levure de boulanger fraîche',
    italy: 'lievito di birra fresco|lievito fresco',
  }),
  ware(
    'butter',
    'fat',
    'butter|unsalted butter|softened butter|butter, softened|soft butter, cubed',
    {
      germany: 'Butter|weiche Butter',
      france: 'beurre|beurre doux',
      italy: 'burro',
    },
  ),
  ware(
    'oil',
    'fat',
    'olive oil|oil|vegetable oil|sunflower oil',
    {
      us: 'extra-virgin olive oil|canola oil|neutral oil',
      uk: 'rapeseed oil|olive oil',
      germany: 'Öl|Olivenöl|Rapsöl',
      france: 'huile d’olive',
      italy: 'olio extravergine di oliva|olio EVO',
    },
    spoons,
  ),
  ware(
    'sugar',
    'sweet',
    'sugar|caster sugar|granulated sugar',
    {
      us: 'granulated sugar|white sugar|sugar',
      uk: 'caster sugar|golden caster sugar',
      germany: 'Zucker',
      france: 'sucre|sucre en poudre',
      italy: 'zucchero',
    },
    spoons,
  ),
  ware(
    'honey',
    'sweet',
    'honey|runny honey',
    {
      us: 'honey|local honey',
      germany: 'Honig',
      france: 'miel',
      italy: 'miele',
    },
    spoons,
  ),
  ware(
    'seeds',
    'seed',
    'sunflower seeds|mixed seeds|pumpkin seeds',
    {
      germany: 'Sonnenblumenkerne|Kürbiskerne',
    },
    cups,
  ),
  ware(
    'rolled-oats',
    'seed',
    'rolled oats|porridge oats|old-fashioned oats',
    {
      us: 'old-fashioned rolled oats|rolled oats',
      uk: 'porridge oats|jumbo oats',
      germany: 'Haferflocken',
    },
    cups,
  ),
  ware('raisins', 'seed', 'raisins|sultanas', { germany: 'Rosinen', france: 'raisins secs' }, cups),
  ware('egg', 'egg', 'eggs|large eggs|medium eggs', {
    uk: 'medium free-range eggs|eggs, beaten',
    germany: 'Eier',
    france: 'œufs',
    italy: 'uova',
  }),
];
