import { fromMemory } from '../figure/figure.ts';
import type { Ingredient } from './ingredient.ts';
import { composition as of } from './rows.ts';

/** What is its own in a thing that is reckoned as another. */
type Own = Partial<Pick<Ingredient, 'allergens' | 'composition' | 'addedSalt' | 'perishable'>>;

const tables = fromMemory('food composition tables, rounded');
const from = (...figures: Parameters<typeof of>[1]) => of(tables, figures, 1);

/**
 * Things that a dough knows no figures of, and that behave in it like one that has some: what it is keeps its name, its
 * allergens and what is dangerous in it; how it drinks, softens and weighs is the other's. From memory, no source.
 */
const reckoned: ReadonlyArray<
  readonly [like: string, id: string, name: string, aliases: string, own?: Own]
> = [
  ['lard', 'ghee', 'ghee', 'clarified butter, melted ghee, butter oil', { allergens: ['milk'] }],
  ['lard', 'coconut-oil', 'coconut oil', 'melted coconut oil, solid coconut oil'],
  [
    'lard',
    'shortening',
    'vegetable shortening',
    'shortening, vegetable fat, white vegetable fat, solid vegetable fat',
  ],
  [
    'lard',
    'dripping',
    'goose fat or dripping',
    'goose fat, duck fat, bacon fat, dripping, beef dripping, suet, chicken fat',
  ],
  [
    'nut-butter',
    'peanut-butter',
    'peanut butter',
    'smooth peanut butter, crunchy peanut butter',
    { allergens: ['peanut'] },
  ],
  ['nut-butter', 'tahini', 'tahini', 'sesame paste', { allergens: ['sesame'] }],
  [
    'brown-sugar',
    'raw-sugar',
    'raw sugar',
    'demerara sugar, demerara, turbinado sugar, raw cane sugar, coconut sugar, palm sugar, coconut palm sugar, date sugar, maple sugar',
  ],
  ['sugar', 'pearl-sugar', 'pearl sugar', 'nib sugar, sugar nibs'],
  [
    'allulose',
    'strong-sweetener',
    'stevia or monk fruit',
    'stevia, stevia powder, liquid stevia, monk fruit, monk fruit sweetener, monkfruit, monkfruit sweetener',
  ],
  [
    'allulose',
    'inulin',
    'inulin',
    'inulin powder, chicory fibre, chicory root fibre, chicory fiber, chicory root fiber, chicory inulin',
    { composition: from(4, 0, 0, 95, 88, 7, 0) },
  ],
  [
    'pickling-salt',
    'low-sodium-salt',
    'low-sodium salt',
    'low sodium salt, reduced sodium salt, light salt, salt substitute, potassium salt',
    { composition: from(0.3, 0, 0, 0, 0, 0, 17000) },
  ],
  [
    'pickling-salt',
    'celery-salt',
    'celery salt',
    'celery salt seasoning',
    { allergens: ['celery'] },
  ],
  [
    'pickling-salt',
    'herb-salt',
    'herb or garlic salt',
    'herb salt, garlic salt, onion salt, seasoned salt',
  ],
  [
    'improver',
    'ascorbic-acid',
    'ascorbic acid',
    'vitamin c, vitamin c powder, ascorbic acid powder',
  ],
  [
    'improver',
    'diastatic-malt',
    'diastatic malt powder',
    'diastatic malt, malt powder, active malt powder, enzyme active malt',
    { allergens: ['gluten'] },
  ],
  ['cream-of-tartar', 'citric-acid', 'citric acid', 'lemon salt, sour salt'],
  [
    'cream-of-tartar',
    'bakers-ammonia',
    'baker’s ammonia',
    'bakers ammonia, baker ammonia, hartshorn, ammonium bicarbonate',
  ],
  ['cream-of-tartar', 'calcium-propionate', 'calcium propionate', 'mould inhibitor'],
  [
    'cream-of-tartar',
    'egg-replacer',
    'egg replacer',
    'egg substitute powder, powdered egg replacer',
  ],
  ['guar-gum', 'gelatine', 'gelatine', 'gelatin, powdered gelatine, gelatin powder'],
  [
    'guar-gum',
    'gelling-powder',
    'agar, pectin or konjac',
    'agar, agar agar, pectin, carrageenan, methylcellulose, konjac, glucomannan, konjac powder',
  ],
  [
    'walnuts',
    'other-nuts',
    'other nuts',
    'pistachios, cashews, cashew nuts, macadamia, macadamia nuts, brazil nuts, pine nuts, mixed nuts, chopped nuts',
  ],
  [
    'walnuts',
    'flaked-almonds',
    'flaked almonds',
    'slivered almonds, sliced almonds, almond flakes',
  ],
  [
    'walnuts',
    'chestnuts',
    'chestnuts',
    'cooked chestnuts, chopped chestnuts, roasted chestnuts',
    { allergens: [], composition: from(60, 2, 1.3, 35, 5, 10, 3) },
  ],
  [
    'icing-sugar',
    'marzipan',
    'marzipan',
    'almond paste, marzipan paste',
    { allergens: ['nuts'], composition: from(9, 8, 22, 58, 4, 50, 10) },
  ],
  ['sesame-seeds', 'black-sesame', 'black sesame seeds', 'black sesame'],
  ['seeds', 'more-seeds', 'other seeds', 'pepitas, poppyseed, melon seeds, seed mix'],
  [
    'sesame-seeds',
    'seed-seasoning',
    'everything seasoning',
    'everything bagel seasoning, seeded topping mix',
  ],
  [
    'spice',
    'seed-spices',
    'seed spices',
    'nigella seeds, nigella, cumin seeds, cumin, anise, aniseed, anise seeds, coriander seeds, fennel, dill seeds, celery seeds',
  ],
  [
    'spice',
    'mustard-seeds',
    'mustard seeds',
    'black mustard seeds, yellow mustard seeds',
    { allergens: ['mustard'] },
  ],
  [
    'meat',
    'cooked-fish',
    'fish',
    'tuna, salmon, anchovies, smoked salmon, smoked fish, sardines',
    { allergens: ['fish'] },
  ],
  ['beans', 'tofu', 'tofu', 'silken tofu, firm tofu', { allergens: ['soy'] }],
  ['beans', 'hummus', 'hummus', 'houmous', { allergens: ['sesame'] }],
  [
    'mustard',
    'soy-sauce',
    'soy sauce',
    'light soy sauce, dark soy sauce, tamari',
    { allergens: ['soy', 'wheat', 'gluten'] },
  ],
  [
    'mustard',
    'worcestershire',
    'fish sauce',
    'worcestershire sauce, fish sauce',
    { allergens: ['fish'] },
  ],
  [
    'mustard',
    'pesto',
    'pesto',
    'green pesto, red pesto, basil pesto',
    { allergens: ['nuts', 'milk'] },
  ],
  [
    'mustard',
    'ketchup',
    'ketchup or hot sauce',
    'ketchup, tomato ketchup, hot sauce, chilli sauce',
    { allergens: [] },
  ],
  ['mustard', 'miso', 'miso', 'miso paste, white miso, red miso', { allergens: ['soy'] }],
  ['vinegar', 'balsamic-vinegar', 'balsamic vinegar', 'balsamic', { allergens: ['sulphites'] }],
  [
    'potato-water',
    'stock',
    'stock',
    'vegetable stock, vegetable broth, broth, chicken stock, bouillon',
  ],
  [
    'potato-water',
    'tea-or-coffee',
    'tea or coffee',
    'tea, coffee, brewed coffee, cold coffee, strong coffee, cold tea, black tea',
  ],
  [
    'vital-gluten',
    'wheat-protein',
    'wheat protein isolate',
    'wheat protein, wheat protein powder, isolated wheat protein',
  ],
  [
    'rolled-oats',
    'muesli',
    'muesli',
    'mixed cereal flakes, cereal flakes, multigrain flakes',
    { allergens: ['gluten', 'wheat'] },
  ],
  ['water', 'sparkling-water', 'sparkling water', 'soda water, carbonated water, fizzy water'],
];

/**
 * The things of the table above, each with the figures of what it is like.
 *
 * @param known the catalogue without them
 * @throws RangeError where it is like nothing that is known
 * @example reckonedFrom(catalogue).find((i) => i.id === 'ghee')?.reckonedAs // 'lard'
 */
export const reckonedFrom = (known: readonly Ingredient[]): Ingredient[] =>
  reckoned.map(([like, id, name, aliases, own]) => {
    const other = known.find((i) => i.id === like);
    if (!other) throw new RangeError(`no ingredient "${like}" that "${id}" could be like`);
    return {
      ...other,
      id,
      name,
      aliases: [name.toLowerCase(), ...aliases.split(', ')],
      reckonedAs: like,
      ...own,
    };
  });
