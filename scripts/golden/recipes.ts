/** Twenty recipes as people write them, each of another kind. All made up. */
export const recipes: Readonly<Record<string, string>> = {
  'cups and a packet': `Morning loaf

3 1/2 cups whole wheat flour
1 cup warm water
1 tbsp honey
2 tbsp oil
1/4 tsp salt
1 packet instant yeast
salt to taste`,
  'grams, nothing but': `White tin loaf
500 g bread flour
325 g water
10 g salt
5 g instant yeast

Mix and knead for ten minutes. Let it rise for 1 hour. Shape, proof for 45 minutes, bake at 220 °C for 35 minutes.`,
  ounces: `Milk rolls

18 oz bread flour
11 oz whole milk
2 oz butter, softened
1 oz sugar
2 tsp salt
2 1/4 tsp active dry yeast`,
  'sourdough with parts': `Weekend country loaf

Levain
40 g starter
80 g bread flour
80 g water

Dough
400 g bread flour
100 g whole wheat flour
360 g water
11 g salt

Mix flour and water and let rest for 40 minutes. Add levain and salt. Bulk 5 hours with four folds. Shape. Overnight in the fridge. Bake at 245 °C, lid on 20 minutes, lid off 25 minutes.`,
  percentages: `Bakery white
Bread flour 100%
Water 68%
Salt 2%
Fresh yeast 1.5%
Oil 2%`,
  'for a machine': `Bread machine white

1 1/8 cups water
2 tbsp butter
3 cups bread flour
2 tbsp sugar
1 1/2 tsp salt
1 1/2 tsp bread machine yeast

Add to the pan in the order given. Basic programme, medium crust.`,
  rye: `Dark rye

300 g rye flour
200 g bread flour
380 g water
100 g rye starter
10 g salt
1 tbsp caraway seeds
2 tbsp molasses`,
  'low carb': `Seed loaf without much starch

150 g vital wheat gluten
60 g oat fibre
50 g ground flaxseed
2 eggs
240 ml warm water
2 tsp instant yeast
1 tsp salt
1 tbsp olive oil`,
  'fresh-milled': `Milled this morning

500 g freshly milled hard wheat
400 g water
30 g honey
30 g butter
9 g salt
6 g instant yeast
1 egg`,
  'gluten-free': `Loaf without wheat

200 g brown rice flour
150 g tapioca starch
50 g sorghum flour
20 g psyllium husk
400 g water
2 eggs
7 g instant yeast
8 g salt
20 ml oil`,
  flat: `Two pizzas
400 g 00 flour
260 g water
8 g salt
1 g instant yeast
8 g olive oil
Makes 2. Leave in the fridge for two days. Bake at 280 °C for 7 minutes.`,
  enriched: `Breakfast plait

4 cups all-purpose flour
3/4 cup milk
2 eggs
1/3 cup sugar
6 tbsp butter
1 1/4 tsp salt
2 1/4 tsp instant yeast
1 egg yolk for brushing`,
  'no kneading': `Overnight pot loaf
3 cups all-purpose flour
1 1/2 cups water
1 1/4 tsp salt
1/4 tsp instant yeast
Stir, cover, leave for 12 to 18 hours. Shape, rest 1 hour. Bake in a hot pot at 230 °C, 30 minutes with lid, 15 without.`,
  spelt: `Spelt tin loaf
500 grams whole spelt flour
350 ml water
1 tsp salt
1 sachet dried yeast (7 g)
50 g sunflower seeds`,
  semolina: `Golden rolls
250 g durum flour
250 g bread flour
330 g water
10 g salt
4 g instant yeast
sesame for the top`,
  'oats and a soaker': `Porridge loaf
Soaker
60 g rolled oats
150 g boiling water
Dough
400 g bread flour
220 g water
9 g salt
5 g instant yeast
25 g honey`,
  'a range and a fraction': `Supper bread
3 to 3 1/4 cups bread flour
1¼ cups water
½ tsp salt
1½ tsp yeast
2-3 tbsp olive oil`,
  buns: `Soft burger buns (makes 8)
500 g bread flour
50 g butter
40 g sugar
1 egg
250 g milk
8 g salt
7 g instant yeast
Divide into 8. Bake at 200 °C for 15 minutes.`,
  tangzhong: `Softest loaf
Tangzhong
20 g bread flour
100 g milk
Dough
330 g bread flour
120 g milk
1 egg
40 g sugar
40 g butter
6 g salt
6 g instant yeast`,
  'nothing to read': `Dear Ada,
it was a lovely bread, thank you.
some flour
a little water`,
};
