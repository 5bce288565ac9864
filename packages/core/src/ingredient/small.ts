import { commonPractice } from '../figure/figure.ts';
import type { Ingredient, YeastKind } from './ingredient.ts';
import { quietRow } from './quiet-row.ts';
import { composition, perCup, perPiece, absorption, usda } from './rows.ts';

const estimate = 'own estimate, no source';

/** 7 g of dried yeast: common practice. */
const packet = perPiece(7, 0.2);

const yeast = (kind: YeastKind, name: string, aliases: readonly string[]): Ingredient =>
  quietRow({
    id: `${kind}-yeast`,
    name,
    aliases,
    role: 'leaven',
    yeast: kind,
    composition:
      kind === 'fresh'
        ? composition(usda('18374'), [69, 8.4, 1.9, 18.1, 8.1, 0, 30], 1)
        : composition(usda('18375'), [5.08, 40.44, 7.61, 41.22, 26.9, 0, 51], 1),
    // 7 g in 2¼ teaspoons: common practice; crumbled fresh yeast is only ever weighed with sense.
    cup: { level: perCup(kind === 'fresh' ? 140 : (7 / 2.25) * 48, 10) },
    ...(kind === 'fresh' ? {} : { piece: packet }),
  });

/** What goes in by the spoon: salt, leavens, improvers. */
export const smallThings: readonly Ingredient[] = [
  quietRow({
    id: 'salt',
    name: 'fine salt',
    aliases: ['salt', 'table salt', 'fine salt', 'sea salt', 'fine sea salt', 'rock salt'],
    role: 'salt',
    composition: composition(usda('02047'), [0.2, 0, 0, 0, 0, 0, 38758]),
    cup: { level: perCup(292, 20, usda('02047')) },
    addedSalt: 100,
  }),
  quietRow({
    id: 'coarse-salt',
    name: 'coarse or flaked salt',
    aliases: [
      'coarse salt',
      'flaked salt',
      'flaky salt',
      'kosher salt',
      'coarse sea salt',
      'flaky sea salt',
    ],
    role: 'salt',
    composition: composition(usda('02047'), [0.2, 0, 0, 0, 0, 0, 38758]),
    // 3 to 5 g a teaspoon by the kind.
    cup: { level: perCup(192, 30, commonPractice) },
    addedSalt: 100,
  }),
  yeast('instant', 'instant yeast', [
    'instant yeast',
    'instant dry yeast',
    'rapid yeast',
    'rapid rise yeast',
    'fast action yeast',
    'fast action dried yeast',
    'quick yeast',
    'bread machine yeast',
    'machine yeast',
    'instant dried yeast',
    'idy',
  ]),
  yeast('active-dry', 'active dry yeast', [
    'active dry yeast',
    'active yeast',
    'active dried yeast',
    'dry yeast',
    'dried yeast',
    'dried active yeast',
    'ady',
    'yeast',
  ]),
  yeast('fresh', 'fresh yeast', [
    'fresh yeast',
    'cake yeast',
    'compressed yeast',
    'yeast cake',
    'baker yeast',
  ]),
  yeast('osmotolerant', 'osmotolerant yeast', ['osmotolerant yeast', 'sweet dough yeast']),
  quietRow({
    id: 'baking-powder',
    name: 'baking powder',
    aliases: ['baking powder'],
    role: 'improver',
    composition: composition(usda('18369'), [5, 0, 0, 27.7, 0.2, 0, 10600]),
    cup: { level: perCup(221, 20, usda('18369')) },
  }),
  quietRow({
    id: 'lecithin',
    name: 'soy lecithin',
    aliases: ['lecithin', 'soy lecithin', 'sunflower lecithin', 'lecithin granules'],
    role: 'improver',
    composition: composition(usda('04531'), [0, 0, 100, 0, 0, 0, 0]),
    cup: { level: perCup(120, 15) },
    allergens: ['soy'],
  }),
  quietRow({
    id: 'xanthan',
    name: 'xanthan gum',
    aliases: ['xanthan', 'xanthan gum'],
    role: 'improver',
    composition: composition(estimate, [10, 0, 0, 85, 80, 0, 3000]),
    absorption: absorption(5, 3, estimate),
    cup: { level: perCup(130, 15) },
  }),
  quietRow({
    id: 'improver',
    name: 'dough improver',
    aliases: [
      'improver',
      'dough improver',
      'bread improver',
      'dough enhancer',
      'dough conditioner',
    ],
    role: 'improver',
    composition: composition(estimate, [8, 10, 1, 78, 3, 5, 5]),
    cup: { level: perCup(130, 15) },
    allergens: ['wheat', 'gluten'],
  }),
];
