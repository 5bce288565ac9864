/** Ten invented breads as they are: amounts in grams by the catalogue's ids, with the words of a recipe. */
export interface Bread {
  readonly name: string;
  readonly lines: ReadonlyArray<readonly [grams: number, words: string, id: string]>;
}

export const breads: readonly Bread[] = [
  {
    name: 'Sluice white tin',
    lines: [
      [500, 'strong white bread flour', 'bread-flour'],
      [330, 'water', 'water'],
      [10, 'fine sea salt', 'salt'],
      [5, 'instant yeast', 'instant-yeast'],
      [20, 'sunflower oil', 'oil'],
    ],
  },
  {
    name: 'Towpath brown loaf',
    lines: [
      [350, 'wholemeal flour', 'whole-wheat'],
      [150, 'strong bread flour', 'bread-flour'],
      [360, 'lukewarm water', 'water'],
      [9, 'salt', 'salt'],
      [25, 'runny honey', 'honey'],
      [14, 'fresh yeast', 'fresh-yeast'],
    ],
  },
  {
    name: 'Wash-house milled loaf',
    lines: [
      [440, 'freshly milled hard red wheat', 'fresh-hard-wheat'],
      [340, 'cold water', 'water'],
      [17, 'vital wheat gluten', 'vital-gluten'],
      [15, 'milk powder', 'milk-powder'],
      [30, 'ground flaxseed', 'flax-meal'],
      [9, 'salt', 'salt'],
      [6, 'active dry yeast', 'active-dry-yeast'],
    ],
  },
  {
    name: 'Heron milk rolls',
    lines: [
      [500, 'plain flour', 'plain-flour'],
      [300, 'whole milk', 'milk'],
      [50, 'caster sugar', 'sugar'],
      [60, 'unsalted butter', 'butter'],
      [50, 'eggs', 'egg'],
      [8, 'salt', 'salt'],
      [7, 'fast-action dried yeast', 'instant-yeast'],
    ],
  },
  {
    name: 'Lock-keeper rye',
    lines: [
      [300, 'whole rye flour', 'rye-whole'],
      [200, 'bread flour', 'bread-flour'],
      [370, 'water', 'water'],
      [10, 'salt', 'salt'],
      [15, 'black treacle', 'molasses'],
      [8, 'caraway seeds', 'seeds'],
      [4, 'dried yeast', 'active-dry-yeast'],
    ],
  },
  {
    name: 'Porridge-oat cob',
    lines: [
      [420, 'strong white flour', 'bread-flour'],
      [80, 'rolled oats', 'rolled-oats'],
      [310, 'buttermilk', 'buttermilk'],
      [70, 'water', 'water'],
      [20, 'salted butter', 'butter-salted'],
      [9, 'salt', 'salt'],
      [6, 'instant dried yeast', 'instant-yeast'],
    ],
  },
  {
    name: 'Thin-slice seed bread',
    lines: [
      [165, 'vital gluten', 'vital-gluten'],
      [50, 'oat fibre', 'oat-fibre'],
      [80, 'linseed meal', 'flax-meal'],
      [237, 'warm water', 'water'],
      [100, 'eggs', 'egg'],
      [4, 'sugar', 'sugar'],
      [9, 'instant yeast', 'instant-yeast'],
      [5, 'salt', 'salt'],
    ],
  },
  {
    name: 'Spelt pot bread',
    lines: [
      [400, 'white spelt flour', 'spelt-white'],
      [100, 'wholemeal spelt flour', 'spelt-whole'],
      [310, 'water', 'water'],
      [9, 'salt', 'salt'],
      [3, 'instant yeast', 'instant-yeast'],
      [60, 'walnuts', 'walnuts'],
    ],
  },
  {
    name: 'Mooring raisin plait',
    lines: [
      [500, 'bread flour', 'bread-flour'],
      [200, 'milk', 'milk'],
      [80, 'brown sugar', 'brown-sugar'],
      [75, 'butter', 'butter'],
      [90, 'raisins', 'raisins'],
      [4, 'ground cinnamon', 'spice'],
      [8, 'salt', 'salt'],
      [10, 'instant yeast', 'instant-yeast'],
    ],
  },
  {
    name: 'Boatyard semolina flat',
    lines: [
      [300, 'type 00 flour', 'flour-00'],
      [200, 'semolina', 'durum'],
      [320, 'water', 'water'],
      [12, 'salt', 'salt'],
      [25, 'extra virgin olive oil', 'oil'],
      [4, 'instant yeast', 'instant-yeast'],
    ],
  },
];
