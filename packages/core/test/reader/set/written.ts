/**
 * Recipes as people write them, invented, with what each means: `id grams` in the order of the text, `?`
 * for a row that is to be asked about, `-` for what is not in the dough. Rows that are neither (titles,
 * headings, method, notes) do not stand here.
 */
export interface Written {
  readonly shape: string;
  readonly text: string;
  readonly means: readonly string[];
}

export const written: readonly Written[] = [
  {
    shape: 'cups and spoons',
    text: `Morning loaf

3 1/2 cups bread flour
1 1/4 cups warm water (about 105°F)
2 Tbsp. olive oil
1 Tbsp honey
1 1/2 tsp salt
2 1/4 tsp active dry yeast`,
    means: [
      'bread-flour 437.5',
      'water 295.8',
      'oil 27',
      'honey 21.2',
      'salt 9.1',
      'active-dry-yeast 7',
    ],
  },
  {
    shape: 'amounts in words',
    text: `one and a half cups whole milk
half a cup of sugar
three quarters of a cup of water
a teaspoon and a half of salt
two eggs
a pinch of nutmeg
a dozen walnuts halves`,
    means: ['milk 366', 'sugar 100', 'water 177.5', 'salt 9.1', 'egg 100', 'spice 0.14', '?'],
  },
  {
    shape: 'the finest weight wins',
    text: `4 1/4 cups (18 oz / 510 g) bread flour
1 lb 2 oz / 500 g wholemeal flour
2 cups = 250 g plain flour
1 cup (227 g) butter, softened
2 (1/4 ounce) packages active dry yeast
2 x 7 g sachets fast-action dried yeast
1 stick (113 g) unsalted butter`,
    means: [
      'bread-flour 510',
      'whole-wheat 500',
      'plain-flour 250',
      'butter 227',
      'active-dry-yeast 14.17',
      'instant-yeast 14',
      'butter 113',
    ],
  },
  {
    shape: 'fractions of all kinds',
    text: `5-1/2 to 6 cups all-purpose flour
1 & 1/4 cups water
.4 oz salt
1½ tsp instant yeast
⅓ c. oil
2 ¼ cups rye flour`,
    means: [
      'plain-flour 718.75',
      'water 295.8',
      'salt 11.34',
      'instant-yeast 4.67',
      'oil 72',
      'rye-whole 229.5',
    ],
  },
  {
    shape: 'things that are counted',
    text: `500 g bread flour
2 L eggs
3 egg yolks
2 ripe bananas, mashed
1 medium onion, finely chopped
3 cloves garlic, minced
1 cube fresh yeast
1 packet active dry yeast`,
    means: [
      'bread-flour 500',
      'egg 100',
      'egg-yolk 51',
      'banana 236',
      'onion 110',
      'garlic 12',
      'fresh-yeast 42',
      'active-dry-yeast 7',
    ],
  },
  {
    shape: 'what a word changes',
    text: `500 g flour, bread
30 g milk (powdered)
15 g yeast, fresh
20 g dried egg
100 g sour cream
100 g cooked oatmeal
100 g rolled oats
200 g mashed potatoes
40 g soaked raisins
40 g raisins
30 g whole linseed
30 g ground linseed
250 g strained yoghurt
100 g sweetened condensed milk
50 g wheat berries, cooked`,
    means: [
      'bread-flour 500',
      'milk-powder 30',
      'fresh-yeast 15',
      'egg-dried 20',
      'sour-cream 100',
      'porridge 100',
      'rolled-oats 100',
      'potato 200',
      'raisins-soaked 40',
      'raisins 40',
      'linseed-whole 30',
      'flax-meal 30',
      'greek-yogurt 250',
      'milk-condensed 100',
      'cooked-grain 50',
    ],
  },
  {
    shape: 'more than one thing',
    text: `500 g bread flour
1 egg + 1 yolk
2 tbsp butter or oil
5 large eggs (4 for dough, 1 for wash)
half white, half wholemeal
100 g rolled oats, soaked in 150 g boiling water
½ cup sugar, plus 1 tsp
3/4 cup plus 2 tablespoons water`,
    means: [
      'bread-flour 500',
      'egg 50',
      'egg-yolk 17',
      'butter 28.4',
      '?',
      '?',
      'rolled-oats 100',
      'water 150',
      'sugar 104.2',
      'water 207',
    ],
  },
  {
    shape: 'types and national names',
    text: `250 g T65 flour
100 g flour (type 1050)
100 g 550 flour
50 g rye flour type 1150
200 g atta
150 g tipo 00
100 g self raising flour
100 g gram flour
50 g cornflour`,
    means: [
      'flour-812 250',
      'flour-1050 100',
      'flour-550 100',
      'rye-medium 50',
      'atta 200',
      'flour-00 150',
      'self-raising-flour 100',
      'chickpea-flour 100',
      'corn-starch 50',
    ],
  },
  {
    shape: 'percentages alone',
    text: `Seed loaf

Bread flour 80 %
Wholemeal flour 20 %
Water 68 %
Salt 2 %
Fresh yeast 1.5%`,
    means: ['bread-flour 400', 'whole-wheat 100', 'water 340', 'salt 10', 'fresh-yeast 7.5'],
  },
  {
    shape: 'percentages of the flour given',
    text: `600 g bread flour
65 % water – 390 g
2 % salt
1% instant yeast`,
    means: ['bread-flour 600', 'water 390', 'salt 12', 'instant-yeast 6'],
  },
  {
    shape: 'a levain built above',
    text: `Overnight country loaf

Levain build (night before)
50 g ripe starter (100 % hydration)
100 g bread flour
100 g water

Final mix
all of the levain
400g strong white
100g wholemeal
350g water
10g salt

Bake in a lidded pot at 240 °C for 40 minutes.`,
    means: [
      'bread-flour 25',
      'water 25',
      'bread-flour 100',
      'water 100',
      'bread-flour 400',
      'whole-wheat 100',
      'water 350',
      'salt 10',
    ],
  },
  {
    shape: 'a poolish, days and a topping',
    text: `Flatbread with onions

Day 1
Poolish:
100g plain flour
100g water
pinch of instant yeast

Day 2
poolish from above
300 g plain flour
150 g water
8 g salt

Topping:
2 onions, sliced
1 tbsp olive oil`,
    means: [
      'plain-flour 100',
      'water 100',
      'instant-yeast 0.19',
      'plain-flour 300',
      'water 150',
      'salt 8',
      '-',
      '-',
    ],
  },
  {
    shape: 'a soaker, a sourdough and a syrup',
    text: `Rye with seeds

Soaker:
100 g sunflower seeds
50 g linseed
150 g water

Main dough
400 g rye flour (type 1150)
300 g rye sourdough (100 % hydration)
280 g water
12 g salt
15 g sugar beet syrup
soaker`,
    means: [
      'seeds 100',
      'linseed-whole 50',
      'water 150',
      'rye-medium 400',
      'rye-whole 150',
      'water 150',
      'water 280',
      'salt 12',
      'glucose 15',
    ],
  },
  {
    shape: 'a roux and an egg wash',
    text: `Tangzhong:
20 g bread flour
100 ml milk

Dough:
350 g bread flour
120 ml milk, lukewarm
1 egg (about 50 g)
50 g caster sugar
7 g instant dried yeast
6 g salt
30 g unsalted butter, at room temp
all of the tangzhong

Egg wash
1 egg yolk
1 tbsp milk`,
    means: [
      'bread-flour 20',
      'milk 103.1',
      'bread-flour 350',
      'milk 123.8',
      'egg 50',
      'sugar 50',
      'instant-yeast 7',
      'salt 6',
      'butter 30',
      '-',
      '-',
    ],
  },
  {
    shape: 'a machine booklet',
    text: `2 lb loaf
Water: 1 1/8 cups
Oil: 2 tbsp
Sugar: 2 tbsp
Salt: 1 1/2 tsp
Bread flour: 3 cups
Dry milk: 2 tbsp
Yeast (bread machine): 2 tsp

Place ingredients in the pan in the order listed.
Select the basic cycle.`,
    means: [
      'water 266.2',
      'oil 27',
      'sugar 25',
      'salt 9.1',
      'bread-flour 375',
      'milk-powder 15',
      'instant-yeast 6.2',
    ],
  },
  {
    shape: 'extra for something else',
    text: `3 1/2 cups (420 grams) all-purpose flour, plus more for dusting
1 tablespoon granulated sugar
1 1/3 cups warm water
2 tablespoons extra-virgin olive oil, plus 2 teaspoons for the bowl
Cornmeal, for dusting the pan
1 egg beaten with 1 tbsp milk, for brushing
flour for dusting
salt to taste`,
    means: ['plain-flour 420', 'sugar 12.5', 'water 315.5', 'oil 27', '-', '-', '-', '?'],
  },
  {
    shape: 'a page’s card',
    text: `Sweet Potato Bread Recipe - Easy!
Prep Time: 20 mins
Cook Time: 35 mins
Servings: 12
Author: somebody
1 c mashed sweet potato
1/2 c. brown sugar, packed
2 1/4 tsp instant yeast
2 lg. eggs
4-5 c flour
1 tsp cinnamon
1/2 c. raisins (opt.)
1/3 c chopped walnuts or pecans
1 t salt
Mix sweet potato and sugar. Add yeast.
Let rise 1 hour.`,
    means: [
      'sweet-potato 245',
      'brown-sugar 110',
      'instant-yeast 7',
      'egg 100',
      'plain-flour 562.5',
      'spice 2.3',
      'raisins 72.5',
      'walnuts 39',
      'salt 6.1',
    ],
  },
  {
    shape: 'low-carb',
    text: `Low carb bread
1 cup vital wheat gluten
2/3 cup ground flaxseed (golden)
1/2 cup oat fiber
1/4 tsp xanthan gum
2 eggs, lightly beaten
1 cup warm water
2 tbsp. powdered erythritol
1 tsp. honey (to feed the yeast; will be eaten)
2 tablespoons soft butter
1 tablespoon active dry yeast
1/2 teaspoon salt`,
    means: [
      'vital-gluten 140',
      'flax-meal 70',
      'oat-fibre 40',
      'xanthan 0.68',
      'egg 100',
      'water 236.6',
      'erythritol 24.4',
      'honey 7.1',
      'butter 28.4',
      'active-dry-yeast 9.3',
      'salt 3',
    ],
  },
  {
    shape: 'without gluten',
    text: `200g brown rice flour
100g tapioca starch
100 g potato starch
50g buckwheat flour
20 g psyllium husk powder
450ml warm water
1 tbsp apple cider vinegar
10g instant yeast`,
    means: [
      'brown-rice-flour 200',
      'tapioca-starch 100',
      'potato-starch 100',
      'buckwheat-flour 50',
      'psyllium 20',
      'water 450',
      'vinegar 14.9',
      'instant-yeast 10',
    ],
  },
  {
    shape: 'grain by its name, milled',
    text: `450 grams hard white wheat berries, freshly milled
375 grams water
9 grams salt
30 grams raw local honey
28 grams avocado oil
2 Tbsp vital wheat gluten`,
    means: [
      'fresh-hard-wheat 450',
      'water 375',
      'salt 9',
      'honey 30',
      'oil 28',
      'vital-gluten 17.5',
    ],
  },
  {
    shape: 'another language',
    text: `500 g Mehl
300 g Wasser
10 g Salz
1 Würfel Hefe`,
    means: ['plain-flour 500', 'water 300', 'salt 10', 'fresh-yeast 42'],
  },
  {
    shape: 'a method alone',
    text: `Preheat the oven to 220 °C.
Mix the flour and the water and let it rest for 30 minutes.
Knead, shape, and bake for 35 minutes.`,
    means: [],
  },
  {
    shape: 'parts on one row',
    text: `The night before:
20 g starter (100 % hydration), 80 g rye flour, 80 g water
Next morning:
Autolyse: 400 g bread flour + 100 g whole wheat flour + 340 g water, 1 hour
add 10 g salt and the levain`,
    means: [
      'bread-flour 10',
      'water 10',
      'rye-whole 80',
      'water 80',
      'bread-flour 400',
      'whole-wheat 100',
      'water 340',
      'salt 10',
    ],
  },
  {
    shape: 'a booklet with both kinds of measure',
    text: `INGREDIENTS (one 2-pound loaf)
Warm water 1 1/3 cup 315 ml
Vegetable oil 2 tbsp 30 ml
Bread flour 4 cups 500 g
Skim milk powder 3 tbsp 24 g
Sugar 2 tbsp 25 g
Active dry yeast 2 tsp 6 g`,
    means: [
      'water 315.5',
      'oil 27',
      'bread-flour 500',
      'milk-powder 24',
      'sugar 25',
      'active-dry-yeast 6',
    ],
  },
  {
    shape: 'a table with tabs and two columns of measures',
    text: `\tUS\tMetric
Bread flour\t3 cups\t375 g
Water\t1 1/4 cup\t300 g
Salt\t1 1/2 tsp\t9 g
Yeast\t1 tsp\t3 g`,
    means: ['bread-flour 375', 'water 300', 'salt 9', 'active-dry-yeast 3'],
  },
  {
    shape: 'brackets that say nothing of the dough',
    text: `3 to 3 1/4 cups (380-400g) unbleached all purpose flour
1 tbsp + 1 tsp sugar
1 large egg yolk (save the white for the wash)
3/4 cup whole milk, warmed to 110 °F
2 1/4 tsp (1 packet) instant yeast
500g flour (I used half wholemeal)
300-320g water (start with 300)`,
    means: [
      'plain-flour 390',
      'sugar 16.7',
      'egg-yolk 17',
      'milk 183',
      'instant-yeast 7',
      'plain-flour 500',
      'water 310',
    ],
  },
  {
    shape: 'what boils, on one row',
    text: `Bagels (8)
500g high-gluten flour
275g water
10g salt
4g instant yeast
For boiling: 2 litres water, 1 tbsp honey, 1 tsp baking soda`,
    means: ['very-strong-flour 500', 'water 275', 'salt 10', 'instant-yeast 4', '-', '-', '-'],
  },
  {
    shape: 'numbers alone',
    text: `Weeknight tin
Flour: 500
Water: 350
Salt: 10
Yeast: 3`,
    means: ['plain-flour 500', 'water 350', 'salt 10', 'active-dry-yeast 3'],
  },
  {
    shape: 'amounts in brackets behind',
    text: `Strong white bread flour (500g)
Water (340ml)
Sea salt (2 tsp)
Quick yeast (1 sachet)`,
    means: ['bread-flour 500', 'water 340', 'salt 12.2', 'instant-yeast 7'],
  },
];
