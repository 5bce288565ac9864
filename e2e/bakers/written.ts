import type { Household } from '@tender-crumb/core/household';

type Appliance = Household['appliances'][number];

/** What has to stand on the screen: at a step by its name, a figure or a word of the recipe. */
export type Fact = readonly [step: RegExp, says: RegExp];

/** Somebody who bakes a recipe of their own, and what the screen has to tell them, written before it was looked at. */
export interface BakerWritten {
  readonly name: string;
  readonly recipe: string;
  /** What of the choice "How it is made" is tapped; untouched where absent. */
  readonly made?: string | RegExp;
  readonly appliances?: readonly Appliance[];
  /** When the bread is to be ready, where a machine waits for it. */
  readonly readyAt?: string;
  readonly facts: readonly Fact[];
  /** What must stand nowhere. */
  readonly never?: RegExp;
  /** Steps that must not be there, by their names. */
  readonly without?: readonly RegExp[];
}

const weigh = /Weigh the ingredients/;
const kneads = /knead/i;
const check = /Dough check/;
const first = /First rise/;
const shape = /shape|Fold it/i;
const proof = /Final proof/;
const oven = /^Bake/;
const heat = /Heat the oven/;
const cool = /Cool|table/;

/** A machine that is told in the Pantry, by its row of the machines. */
const machine = (of: string): Appliance =>
  ({ id: 'own-machine', kind: 'machine', name: 'Our machine', holds: 1, of }) as never;
const mixer = (takes: number): Appliance =>
  ({ id: 'own-mixer', kind: 'mixer', name: 'Our mixer', holds: 1, takes }) as never;

/** Thirteen bakers, each with a recipe, a kitchen and a way to make it. First score beside the last: see `firstScore`. */
export const bakersWritten: readonly BakerWritten[] = [
  {
    name: 'enriched plait by machine and oven',
    appliances: [machine('two-paddle')],
    made: 'Our machine',
    recipe: `Sunday plait

500 g strong white flour
210 g milk
1 egg
60 g sugar
70 g butter
9 g salt
7 g instant yeast
1 egg yolk, for brushing

Method
Put everything into the bread machine and run the dough programme.
Divide the dough into 3 strands and plait them.
Cover and let it proof for 40 minutes.
Brush with the egg yolk.
Bake at 180 °C for 28 minutes.`,
    facts: [
      [weigh, /Liquids|Water first/i],
      [weigh, /Dough/],
      [kneads, /minute/],
      [shape, /3/],
      [shape, /each of 3/],
      [shape, /strand/i],
      [proof, /about 4\d min|40 min|done about/],
      [oven, /egg yolk/i],
      [oven, /180 °C/],
      [oven, /28 min/],
      [cool, /rack|cut/i],
    ],
  },
  {
    name: 'just-milled in a dry-first machine',
    appliances: [machine('upright')],
    made: 'Our machine',
    recipe: `Just-milled loaf

420 g fresh-milled hard wheat flour
310 g water
8 g salt
5 g instant yeast
20 g oil
20 g honey

Method
Load the bread machine, yeast first, water last.
Bake it in the 750 g size.`,
    facts: [
      [weigh, /yeast[\s\S]*fresh-milled[\s\S]*water/i],
      [weigh, /750 g/],
      [weigh, /Everyday/],
      [weigh, /Fresh-milled flour is warm/],
      [check, /look at|minutes into/i],
      [/machine|programme/i, /minute \d+/],
      [/machine|programme/i, /done|ready/],
      [/machine|programme/i, /out of the pan/i],
    ],
    never: /\b0 of \d+|minute 2[2-9]\d of 2\d\d/,
  },
  {
    name: 'overnight on its timer, with milk and egg',
    appliances: [machine('two-paddle')],
    made: 'Our machine',
    readyAt: '07:00',
    recipe: `Morning loaf

430 g bread flour
230 g milk
1 egg
25 g butter
20 g sugar
8 g salt
5 g instant yeast

Method
Everything into the bread machine; the timer wakes us with it.`,
    facts: [
      [weigh, /No delay with/],
      [weigh, /milk powder|water/i],
      [weigh, /07:00/],
      [weigh, /timer to \d+:\d\d|timer.{0,30}\d+ h/i],
      [/machine|programme/i, /keeps it warm/],
    ],
    without: [check],
  },
  {
    name: 'a third whole wheat by hand with folds',
    made: 'By hand',
    recipe: `Third loaf

335 g strong white flour
165 g whole wheat flour
350 g water
10 g salt
4 g instant yeast

Method
Mix flour and water and leave for 20 minutes.
Add salt and yeast and knead for 5 minutes.
Let it rise for 1½ hours, folding it twice, every 30 minutes.
Shape it to a round and proof for 50 minutes in a floured basket.
Score it.
Bake at 240 °C with steam for 10 minutes, then at 210 °C for 25 to 30 minutes.`,
    facts: [
      [/rest|autolyse/i, /20 min/],
      [kneads, /5 minutes|\b5 min/],
      [first, /2 times|twice|2 × fold/i],
      [first, /30 min/],
      [shape, /basket/],
      [proof, /about 5\d min|50 min|done about/],
      [oven, /score/i],
      [oven, /240 °C/],
      [oven, /210 °C/],
      [oven, /10 min/],
      [oven, /25 to 30|27|28/],
      [oven, /steam|boiled water/i],
    ],
    never: /\bpaddle|\bsignal\b|\bprogramme\b/i,
  },
  {
    name: 'two kilos in a mixer of 800 g',
    appliances: [mixer(800)],
    made: 'Our mixer',
    recipe: `Market loaves

2000 g strong white flour
1300 g water
40 g salt
20 g instant yeast
40 g oil

Method
Knead in the mixer for 8 minutes.
Let it rise for 1 hour.
Divide into 4 loaves, shape, and proof for 45 minutes.
Bake at 220 °C for 35 minutes.`,
    facts: [
      [weigh, /3 mixings/],
      [weigh, /667 g/],
      [weigh, /433 g/],
      [weigh, /\b13(?:\.3)? g/],
      [kneads, /3 mixings/],
      [kneads, /8 minutes|8 min/],
      [shape, /each of 4/],
      [shape, /83\d g|838 g|837/],
      [oven, /220 °C/],
      [oven, /35 min/],
    ],
    never: /rolls, heavier|heavier than usual/,
  },
  {
    name: 'low-carb by machine',
    appliances: [machine('upright')],
    made: 'Our machine',
    recipe: `Low-carb loaf

150 g vital wheat gluten
100 g oat fibre
80 g ground linseed
2 eggs
280 g water
40 g butter
8 g salt
7 g instant yeast

Method
Load the bread machine and bake it on the shortest programme.`,
    facts: [
      [weigh, /150 g/],
      [weigh, /one short knead|short/i],
      [check, /springy|rubber/i],
      [/machine|programme/i, /minute \d+/],
    ],
    never: /stretches thin/,
  },
  {
    name: 'nine buns in one pan',
    made: 'By hand',
    recipe: `Nine buns

500 g strong white flour
300 g milk
60 g butter
50 g sugar
8 g salt
7 g instant yeast
1 egg, beaten, to brush

Method
Knead for 10 minutes and let it rise for 1 hour, until doubled.
Divide into 9 buns and set them into one square tin.
Proof for 35 minutes.
Brush with egg.
Bake at 190 °C for 22 minutes.`,
    facts: [
      [kneads, /10 minutes|10 min/],
      [shape, /each of 9/],
      [shape, /101 g/],
      [shape, /203 g|202 g/],
      [shape, /91\d g/],
      [shape, /tin/],
      [oven, /egg/],
      [oven, /190 °C/],
      [oven, /22 min/],
    ],
  },
  {
    name: 'two tins',
    made: 'By hand',
    recipe: `Two tin loaves

1 kg strong white flour
630 g water
20 g salt
10 g instant yeast
30 g butter

Method
Knead for ten minutes.
Let it rise for an hour.
Divide between two 2 lb tins and let it rise for another 40 minutes.
Bake at 200 °C for 40 minutes; take them out of the tins for the last 5 minutes.`,
    facts: [
      [kneads, /10 minutes|10 min/],
      [shape, /each of 2/],
      [shape, /83\d g/],
      [proof, /40 min|about 4\d min|done about/],
      [oven, /200 °C/],
      [oven, /40 min/],
      [oven, /last 5 minutes/],
    ],
    never: /heavier than usual/,
  },
  {
    name: 'machine sourdough with one rise',
    appliances: [machine('upright')],
    made: 'Our machine',
    recipe: `Machine sourdough

Starter
60 g bread flour
60 g water

Dough
360 g bread flour
220 g water
8 g salt

Method
Knead it in the bread machine, then switch it off.
Let it rise in the pan for 5 hours, until it is nearly doubled.
Bake on the bake programme for 60 minutes.`,
    facts: [
      [/Feed|Weigh the ingredients/, /60 g|starter/i],
      [weigh, /Dough|Knead/],
      [kneads, /switch it off/],
      [/rise|proof/i, /Until/],
      [oven, /bake-only|Bake only/i],
      [oven, /60 min/],
    ],
    without: [/First rise[\s\S]*Final proof/],
    never: /middle rack|turn it round/,
  },
  {
    name: 'poolish pizza over two days',
    made: 'By hand',
    recipe: `Two-day pizza

Poolish
250 g pizza flour
250 g water
0.5 g instant yeast

Dough
450 g pizza flour
210 g water
18 g salt
10 g olive oil

Method
Day 1, 8 pm: stir the poolish together and leave it for 14 hours.
Day 2: mix all, knead for 8 minutes.
Let it rise for 2 hours.
Divide into 4 balls and let them rest for 3 hours.
Heat the oven as hot as it goes, 280 °C, with the stone in it.
Bake for 7 minutes.`,
    facts: [
      [/poolish/i, /250 g/],
      [/poolish/i, /0\.5 g/],
      [/ripens|ripe/i, /14 h|840 min|about 8\d\d min|about 14|done about/],
      [weigh, /450 g/],
      [shape, /each of 4/],
      [shape, /29\d g|28\d g/],
      [heat, /280 °C/],
      [heat, /stone/],
      [oven, /7 min/],
      [oven, /280 °C/],
    ],
  },
  {
    name: 'pot loaf, lid on, lid off',
    made: 'By hand',
    recipe: `Pot loaf

450 g strong white flour
50 g whole rye flour
350 g water
10 g salt
5 g instant yeast

Method
Mix everything and knead for 8 minutes.
Let it rise for 1 hour. Fold it twice, every 20 minutes.
Shape it and proof for 45 minutes.
Heat the oven to 240 °C with the pot in it.
Bake covered for 20 minutes at 240 °C, uncover, lower to 210 °C and bake 20 minutes more.`,
    facts: [
      [kneads, /8 minutes|8 min/],
      [first, /2 times|twice|2 × fold/i],
      [first, /20 min/],
      [heat, /pot/],
      [oven, /lid on/],
      [oven, /lid off/],
      [oven, /240 °C/],
      [oven, /210 °C/],
    ],
  },
  {
    name: 'milk loaf with raisins',
    made: 'By hand',
    recipe: `Raisin loaf

500 g strong white flour
310 g milk
40 g butter
40 g sugar
9 g salt
7 g instant yeast
150 g raisins

Method
Warm the milk.
Knead everything but the raisins for 10 minutes, then work in the raisins.
Rise until doubled, about 1¼ hours.
Shape for a tin and proof 50 minutes.
Brush with milk.
Bake at 180 °C for 35–40 minutes.`,
    facts: [
      [weigh, /raisins 150 g|150 g[\s\S]*raisins|raisins[\s\S]*150 g/i],
      [kneads, /raisins/],
      [kneads, /10 minutes|10 min/],
      [shape, /tin/],
      [oven, /Brush with milk/],
      [oven, /180 °C/],
      [oven, /3[5-9] min|35 to 40/],
    ],
  },
  {
    name: 'a first loaf',
    recipe: '',
    facts: [
      [weigh, /g/],
      [kneads, /minutes/],
      [oven, /°C/],
      [heat, /°C/],
      [cool, /cut|rack/i],
    ],
    never: /\bpaddle|\bsignal\b|\bprogramme\b|\bbread machine\b/i,
  },
];
