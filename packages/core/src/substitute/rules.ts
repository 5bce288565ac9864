import { refuse } from '../quantity/refusal.ts';
import { isFlour } from '../formula/base.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { convertYeast } from '../ingredient/yeast.ts';
import { commonPractice, figure, fromMemory } from '../figure/figure.ts';
import { glutenToReplace } from '../dough/strength.ts';
import { eggForOthers, kinForKin, othersForEgg } from './pairs.ts';
import { add, takeOut, wetInPlaceOfWater, type Candidate, type Rule } from './rule.ts';
import { fromStarterRule, toStarterRule } from './sourdough.ts';

/** Figures that substitutions go by. */
const swapFigures = {
  /** Purée takes the place of this share of a fat, not of more: crumb needs some fat. */
  pureeShare: figure(0.5, 'share of the fat', 0.1, commonPractice),
  /** Bought whole wheat in a fresh-milled formula: at most this, the rest strong white. */
  baggedShare: figure(0.5, 'share of the flour', 0.1, commonPractice),
  /** Milk powder in a gram of milk: its solids without the fat. */
  powderInMilk: figure(0.086, 'g per g', 0.003, fromMemory('USDA SR Legacy 01077')),
  waterInMilk: figure(0.881, 'g per g', 0.005, fromMemory('USDA SR Legacy 01077')),
  /** Sweetness of erythritol beside sugar. */
  erythritolSweetness: figure(0.7, 'of sugar', 0.1, commonPractice),
} as const;

const swapped = `composition of both, mass for mass; ${commonPractice}`;

const flourNotes = (from: Ingredient, to: Ingredient): string[] => {
  const notes: string[] = [];
  const wholer = (to.whole ?? 0) - (from.whole ?? 0);
  if (wholer > 0.3) {
    notes.push(
      'Whole grain holds gas worse: the final proof takes 90 minutes or more where white takes 45 to 60. Bake it filled out and puffy, not doubled.',
    );
  }
  if (to.slow && !from.slow) {
    notes.push(
      'It takes up water for 20 to 30 minutes: wait before you judge the dough, or rest it before kneading.',
    );
  }
  if (from.strength === 'strong' && to.strength === 'weak') {
    notes.push('It stands about half the kneading; stop as soon as it is smooth.');
  }
  if (to.freshMilled) notes.push('Straight from the mill it is warm: use colder water.');
  return notes;
};

/** Any flour for any other, mass for mass. */
const flourForFlour: Rule = (line, { pantry }) =>
  isFlour(line)
    ? pantry.all
        .filter((i) => i.role === 'flour' && i.id !== line.ingredient)
        .filter((i) => !(line.of.freshMilled && i.id === 'whole-wheat'))
        .map((to): Candidate => ({
          id: to.id,
          label: to.name,
          make: (l) => ({
            changes: [add(l, to.id, l.grams), takeOut(l)],
            held: ['level'],
            notes: flourNotes(l.of, to),
            basis: swapped,
          }),
        }))
    : [];

/** Bagged whole wheat for fresh-milled: half of it, the rest strong white. */
const baggedForFresh: Rule = (line) =>
  line.of.freshMilled && isFlour(line)
    ? [
        {
          id: 'half-bagged',
          label: 'bought whole wheat and strong white, half and half',
          make: (l) => {
            const bagged = l.grams * swapFigures.baggedShare.value;
            return {
              changes: [
                add(l, 'whole-wheat', bagged),
                add(l, 'bread-flour', l.grams - bagged),
                takeOut(l),
              ],
              held: ['level'],
              notes: [
                'Bought whole wheat is coarser and older: more than half of it makes a fresh-milled formula heavy.',
              ],
              basis: commonPractice,
            };
          },
        },
      ]
    : [];

/** Grams of a sweetener that sweeten as a gram of sugar does. */
const sweetnessOf = (of: Ingredient): number => {
  if (of.id === 'erythritol') return swapFigures.erythritolSweetness.value;
  return of.role === 'sweetener' ? 1 : of.composition.sugars / 100;
};

/** Sugar, honey, syrup, jaggery, sweetener: as sweet as before. */
const sweetForSweet: Rule = (line, { pantry }) =>
  line.of.role === 'sugar' || line.of.role === 'sweetener'
    ? pantry.all
        .filter((i) => (i.role === 'sugar' || i.role === 'sweetener') && i.id !== line.ingredient)
        .filter((i) => sweetnessOf(i) > 0)
        .map((to): Candidate => ({
          id: to.id,
          label: to.name,
          make: (l) => ({
            changes: [add(l, to.id, (l.grams * sweetnessOf(l.of)) / sweetnessOf(to)), takeOut(l)],
            held: ['level'],
            notes: [
              ...(to.nothingForYeast
                ? ['It feeds no yeast and does not brown: a spoon of real sugar does both.']
                : []),
              ...(to.id === 'honey'
                ? ['Honey browns sooner, and is not for children under 12 months, baked or not.']
                : []),
              ...(to.id === 'xylitol' ? ['Xylitol kills dogs, in small amounts.'] : []),
            ],
            basis: 'sugars of both, by composition',
          }),
        }))
    : [];

const isPlainFat = (of: Ingredient): boolean => of.role === 'fat' && of.composition.fat > 40;

/** Oil and butter, as fat as before; fruit purée for half of it. */
const fatForFat: Rule = (line, { pantry }) => {
  if (!isPlainFat(line.of)) return [];
  const fats = pantry.all
    .filter((i) => isPlainFat(i) && i.id !== line.ingredient)
    .map((to): Candidate => ({
      id: to.id,
      label: to.name,
      make: (l) => ({
        changes: [add(l, to.id, (l.grams * l.of.composition.fat) / to.composition.fat), takeOut(l)],
        held: ['level', 'salt'],
        notes: to.perishable ? ['Soft butter is not left for hours under a delay timer.'] : [],
        basis: 'fat of both, by composition',
      }),
    }));
  return [
    ...fats,
    {
      id: 'fruit-puree',
      label: 'fruit purée for half of it',
      make: (l) => {
        const share = swapFigures.pureeShare.value;
        return {
          changes: [add(l, 'fruit-puree', l.grams * share), takeOut(l, share)],
          held: ['level'],
          notes: ['More than half would leave the crumb dry and the crust dull.'],
          basis: commonPractice,
        };
      },
    },
  ];
};

/** Purée that stands in for a fat back to oil. */
const pureeForFat: Rule = (line) =>
  line.ingredient === 'fruit-puree'
    ? [
        {
          id: 'oil',
          label: 'oil',
          make: (l) => ({
            changes: [add(l, 'oil', l.grams), takeOut(l)],
            held: ['level'],
            notes: ['A shorter, moister crumb; the fruit’s taste goes.'],
            basis: commonPractice,
          }),
        },
      ]
    : [];

const milks: ReadonlySet<string> = new Set(['milk', 'skimmed-milk']);

/** Milk to water and powder, and back. */
const milkAndPowder: Rule = (line, context) => {
  const { powderInMilk, waterInMilk } = swapFigures;
  if (milks.has(line.ingredient)) {
    return [
      {
        id: 'milk-powder',
        label: 'water and milk powder',
        make: (l) => ({
          changes: [
            add(l, 'milk-powder', l.grams * powderInMilk.value),
            add(l, 'water', l.grams * waterInMilk.value),
            takeOut(l),
          ],
          held: ['level', 'fat'],
          notes: [
            'Powder keeps dry on top of the flour: it may wait for a delay timer, milk may not.',
          ],
          basis: powderInMilk.source,
        }),
      },
    ];
  }
  if (line.ingredient !== 'milk-powder') return [];
  return [
    {
      id: 'milk',
      label: 'milk in place of some water',
      make: (l) => {
        const grams = l.grams / powderInMilk.value;
        return wetInPlaceOfWater(
          l,
          { id: 'milk', grams, water: grams * waterInMilk.value },
          context,
          {
            notes: ['Milk is not left for hours under a delay timer.'],
            basis: powderInMilk.source,
          },
        );
      },
    },
  ];
};

/** One kind of yeast for another, by its work. */
const yeastForYeast: Rule = (line, { pantry }) => {
  const from = line.of.yeast;
  return from
    ? pantry.all
        .filter((i) => i.yeast && i.yeast !== from)
        .map((to): Candidate => ({
          id: to.id,
          label: to.name,
          make: (l) => ({
            changes: [
              add(l, to.id, convertYeast(l.grams, from, to.yeast!, pantry.yeastWork)),
              takeOut(l),
            ],
            held: [],
            notes:
              to.yeast === 'active-dry'
                ? ['Dissolve it in water of 35 to 43 °C first, unless its maker says otherwise.']
                : [],
            basis: 'trade handbooks, from memory; the schools differ by about a tenth',
          }),
        }))
    : [];
};

/** Gluten to a stronger flour in the blend, where a Pearson square reaches the protein. */
const glutenForStronger: Rule = (line, { pantry }) =>
  line.of.role === 'gluten'
    ? [
        {
          id: 'stronger-flour',
          label: 'a stronger flour in the blend',
          make: (l, { lines, totals }) => {
            const strong = pantry.ingredient('bread-flour');
            const weak = lines
              .filter((w) => isFlour(w) && w.stage === l.stage && w.ingredient !== strong.id)
              .sort((a, b) => b.grams - a.grams)[0];
            const gap = weak ? strong.composition.protein - weak.of.composition.protein : 0;
            if (totals.dryBase || !weak || gap <= 0) {
              return refuse(
                'no-weaker-flour',
                'There is no weaker flour here that strong flour could take the place of.',
              );
            }
            // Protein that goes with the gluten, above what the blend keeps by itself.
            const kept = (totals.proteinPercent * l.grams) / 100;
            const missing = (l.grams * l.of.composition.protein) / 100 - kept;
            const needed = (100 * missing) / gap;
            if (needed > weak.grams) {
              return refuse(
                'too-little-protein',
                `Even all of the ${weak.of.name} given over to ${strong.name} would not bring as much protein as this gluten does.`,
              );
            }
            return {
              changes: [
                add(l, strong.id, needed),
                { stage: weak.stage, ingredient: weak.ingredient, grams: -needed },
                takeOut(l),
              ],
              held: ['level'],
              notes: ['Whisking gluten in is then needless.'],
              basis: 'Pearson square on the protein of both flours',
            };
          },
        },
      ]
    : [];

/** Strong flour to plain flour with gluten in it: as much protein in as much flour. */
const strongerForGluten: Rule = (line, { pantry }) => {
  const [plain, gluten] = [pantry.ingredient('plain-flour'), pantry.ingredient('vital-gluten')];
  const { protein } = line.of.composition;
  if (!isFlour(line) || line.of.strength !== 'strong' || (line.of.whole ?? 0) > 0.3) return [];
  if (protein <= plain.composition.protein) return [];
  return [
    {
      id: 'plain-and-gluten',
      label: 'plain flour and gluten',
      make: (l) => {
        const grams = glutenToReplace(
          l.grams,
          plain.composition.protein,
          gluten.composition.protein,
          protein,
        );
        return {
          changes: [add(l, plain.id, l.grams - grams), add(l, gluten.id, grams), takeOut(l)],
          held: ['level'],
          notes: ['Whisk the gluten through the flour, or it clumps in the water.'],
          basis: 'protein of all three, by composition',
        };
      },
    },
  ];
};

/** Every rule, in the order in which a baker would think of them. */
export const rules: readonly Rule[] = [
  baggedForFresh,
  flourForFlour,
  sweetForSweet,
  fatForFat,
  milkAndPowder,
  pureeForFat,
  kinForKin,
  eggForOthers,
  othersForEgg,
  yeastForYeast,
  toStarterRule,
  fromStarterRule,
  glutenForStronger,
  strongerForGluten,
];
