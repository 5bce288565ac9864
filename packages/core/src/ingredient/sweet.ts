import { fromMemory } from '../figure/figure.ts';
import type { Ingredient } from './ingredient.ts';
import { quietRow } from './quiet-row.ts';
import { composition, perCup, usda } from './rows.ts';

const estimate = 'own estimate, no source';

const definition = 'by definition';
const remembered = fromMemory('food composition tables, rounded');

/** Sugars and syrups, and sweeteners that feed no yeast. */
export const sweetThings: readonly Ingredient[] = [
  quietRow({
    id: 'sugar',
    name: 'sugar',
    aliases: ['sugar', 'white sugar', 'granulated sugar', 'caster sugar', 'cane sugar'],
    role: 'sugar',
    composition: composition(usda('19335'), [0.02, 0, 0, 99.98, 0, 99.8, 1]),
    cup: { level: perCup(200, 6, usda('19335')) },
  }),
  quietRow({
    id: 'brown-sugar',
    name: 'brown sugar',
    aliases: ['brown sugar', 'light brown sugar', 'dark brown sugar', 'muscovado sugar'],
    role: 'sugar',
    composition: composition(usda('19334'), [1.34, 0.12, 0, 98.09, 0, 97.02, 28]),
    cup: { level: perCup(220, 12, usda('19334')) },
  }),
  quietRow({
    id: 'honey',
    name: 'honey',
    aliases: ['honey'],
    role: 'sugar',
    composition: composition(usda('19296'), [17.1, 0.3, 0, 82.4, 0.2, 82.12, 4]),
    cup: { level: perCup(339, 8, usda('19296')) },
  }),
  quietRow({
    id: 'syrup',
    name: 'golden syrup',
    aliases: ['syrup', 'golden syrup', 'light treacle', 'cane syrup'],
    role: 'sugar',
    composition: composition(remembered, [20, 0.3, 0, 79, 0, 79, 270]),
    cup: { level: perCup(340, 10) },
  }),
  quietRow({
    id: 'maple-syrup',
    name: 'maple syrup',
    aliases: ['maple syrup'],
    role: 'sugar',
    composition: composition(usda('19353'), [32.39, 0.04, 0.06, 67.04, 0, 60.46, 12]),
    cup: { level: perCup(322, 10, usda('19353')) },
  }),
  quietRow({
    id: 'agave-syrup',
    name: 'agave syrup',
    aliases: ['agave', 'agave syrup', 'agave nectar'],
    role: 'sugar',
    composition: composition(usda('19912'), [22.94, 0.09, 0.45, 76.37, 0.2, 68.03, 4]),
    cup: { level: perCup(331, 10, usda('19912')) },
  }),
  quietRow({
    id: 'date-syrup',
    name: 'date syrup',
    aliases: ['date syrup', 'date molasses', 'date honey'],
    role: 'sugar',
    composition: composition(remembered, [25, 1.2, 0.1, 72, 1, 68, 15]),
    cup: { level: perCup(336, 15) },
  }),
  quietRow({
    id: 'dextrose',
    name: 'dextrose',
    aliases: ['dextrose', 'dextrose powder', 'glucose powder', 'grape sugar'],
    role: 'sugar',
    // The monohydrate: 198 g a mole with 18 g of water.
    composition: composition(definition, [9.1, 0, 0, 90.9, 0, 90.9, 1]),
    cup: { level: perCup(140, 15) },
  }),
  quietRow({
    id: 'jaggery',
    name: 'jaggery',
    aliases: ['jaggery', 'panela', 'unrefined cane sugar'],
    role: 'sugar',
    composition: composition(estimate, [5, 0.5, 0.1, 93, 0, 90, 30]),
    cup: { level: perCup(200, 20) },
  }),
  quietRow({
    id: 'molasses',
    name: 'molasses',
    aliases: ['molasses', 'treacle', 'black treacle'],
    role: 'sugar',
    composition: composition(usda('19304'), [21.87, 0, 0.1, 74.73, 0, 74.72, 37]),
    cup: { level: perCup(337, 10, usda('19304')) },
  }),
  quietRow({
    id: 'xylitol',
    name: 'xylitol',
    aliases: ['xylitol'],
    role: 'sweetener',
    composition: { ...composition(definition, [0.5, 0, 0, 99.5, 0, 0, 0]), polyols: 99.5 },
    nothingForYeast: true,
    cup: { level: perCup(200, 10) },
  }),
  quietRow({
    id: 'erythritol',
    name: 'erythritol',
    aliases: ['erythritol', 'powdered erythritol', 'granulated erythritol'],
    role: 'sweetener',
    composition: { ...composition(definition, [0.2, 0, 0, 99.8, 0, 0, 0]), polyols: 99.8 },
    // EU 1169/2011, annex XIV.
    polyolEnergy: 0,
    nothingForYeast: true,
    cup: { level: perCup(195, 10) },
  }),
];
