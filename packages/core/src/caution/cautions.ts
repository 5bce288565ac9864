import { sumGrams } from '../quantity/sum-grams.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { styles, type StyleId } from '../style/style.ts';
import type { Kitchen } from '../household/kitchen.ts';
import { proteinAim, strengthShares } from '../dough/strength.ts';
import { isFlour } from '../formula/base.ts';
import { type Totals } from '../formula/totals.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';

export interface Caution {
  readonly id: string;
  readonly text: string;
}

/** What a caution's condition may look at. */
export interface CautionFacts {
  readonly style: StyleId;
  /** What is in the dough. */
  readonly ingredients: readonly Ingredient[];
  /** What is in the dough, on it or in its filling: all that is eaten. */
  readonly eaten: readonly Ingredient[];
  readonly totals: Totals;
  readonly points: number;
  readonly glutenGrams: number;
  /** Protein of the flours without the gluten added to them, g per 100 g. */
  readonly flourProtein: number;
  readonly kitchen: Pick<Kitchen, 'coefficients' | 'figures' | 'room'>;
  /** Shares of the flour by what it can build. */
  readonly strength: ReturnType<typeof strengthShares>;
  /** Somebody in the household must not eat gluten. */
  readonly glutenFree?: boolean;
}

interface CautionRow {
  readonly id: string;
  readonly text: string | ((facts: CautionFacts) => string);
  readonly source: string;
  readonly when: (facts: CautionFacts) => boolean;
}

const has = (facts: CautionFacts, test: (i: Ingredient) => boolean): boolean =>
  facts.eaten.some(test);

/** Hours that perishables may stand shorten above this. Source: US food-safety guidance. */
const hotRoom = 32;

/** *Most of the flour*, by mass. */
const most = 0.5;

/** General guidance that defers to local rules, makers' manuals and licensed advice. */
export const cautionTable: readonly CautionRow[] = [
  {
    id: 'gluten-in-gluten-free-house',
    text: 'Somebody in this house must not eat gluten, and this holds it: spelt, einkorn and every other wheat, rye, barley and vital gluten are no exception. A shared machine, mill or board carries it over; their bread needs its own.',
    source: 'EU 1169/2011 Annex II; 21 CFR 101.91 (gluten-free: under 20 ppm)',
    when: (f) => f.glutenFree === true && has(f, (i) => i.allergens.includes('gluten')),
  },
  {
    id: 'shared-mill',
    text: 'Nothing in it holds gluten by itself, but a mill, machine or board that wheat went through does. Flours not labelled gluten-free may hold traces.',
    source: '21 CFR 101.91 (gluten-free: under 20 ppm)',
    when: (f) => f.glutenFree === true && !has(f, (i) => i.allergens.includes('gluten')),
  },
  {
    id: 'gluten',
    text: 'Holds gluten. All wheats (spelt, einkorn, emmer, khorasan and durum too), rye, barley and vital gluten are unsafe in coeliac disease or wheat allergy; fresh-milled or ancient changes nothing. Oats only where labelled gluten-free.',
    source: 'EU 1169/2011 Annex II; 21 CFR 101.91',
    when: (f) => f.glutenFree !== true && has(f, (i) => i.allergens.includes('gluten')),
  },
  {
    id: 'perishable',
    text: 'Milk, egg, soft butter or cheese in it: not over 2 hours in all between 4 and 60 °C, waiting included, so no delay timer. Milk powder keeps dry on top of the flour.',
    source: 'US food-safety guidance',
    when: (f) =>
      f.ingredients.some((i) => i.perishable === true) && (f.kitchen.room.celsius ?? 0) <= hotRoom,
  },
  {
    id: 'perishable-hot',
    text: 'Milk, egg, soft butter or cheese in it, in a room above 32 °C: not over 1 hour out of the fridge, waiting included, and no delay timer.',
    source: 'US food-safety guidance',
    when: (f) =>
      f.ingredients.some((i) => i.perishable === true) && (f.kitchen.room.celsius ?? 0) > hotRoom,
  },
  {
    id: 'egg-rich',
    text: 'Breads with egg are baked to 71 °C in the middle at least. Raw dough with egg is not for tasting.',
    source: 'US food-safety guidance',
    when: (f) => has(f, (i) => i.allergens.includes('egg')),
  },
  {
    id: 'honey-infants',
    text: 'Honey, baked or not, is not for children under 12 months.',
    source: 'US food-safety guidance',
    when: (f) => has(f, (i) => i.id === 'honey'),
  },
  {
    id: 'xylitol-dogs',
    text: 'Xylitol kills dogs, in small amounts: keep dough, bread and crumbs from them.',
    source: 'US food-safety guidance',
    when: (f) => has(f, (i) => i.id === 'xylitol'),
  },
  {
    id: 'raisins-dogs',
    text: 'Raisins and raw dough harm dogs.',
    source: 'US food-safety guidance',
    when: (f) => has(f, (i) => i.id === 'raisins'),
  },
  {
    id: 'polyols',
    text: 'Polyols and much fibre upset some guts; small slices first.',
    source: 'EU 1169/2011 Annex III',
    when: (f) => has(f, (i) => i.role === 'sweetener'),
  },
  {
    id: 'carbohydrate-estimate',
    text: 'Figures for a low-carb bread are estimates: people on insulin or a medical diet follow their clinic.',
    source: 'common practice, no source',
    when: (f) => f.totals.dryBase || f.style === 'low-carb',
  },
  {
    id: 'rubbery-gluten',
    text: ({ kitchen }) =>
      `Gluten above ${kitchen.coefficients.glutenMost.value} % of the flour turns a wheat bread rubbery.`,
    source: 'common practice, no source',
    when: (f) =>
      !f.totals.dryBase &&
      100 * f.glutenGrams > f.kitchen.coefficients.glutenMost.value * f.totals.flourGrams,
  },
  {
    id: 'needless-gluten',
    text: 'The flours are strong enough for this bread by themselves: gluten on top makes it tougher, not higher.',
    source: 'common practice, no source',
    when: (f) =>
      !f.totals.dryBase &&
      f.glutenGrams > 0 &&
      f.flourProtein >=
        proteinAim(f.style, f.totals, f.kitchen) - f.kitchen.coefficients.leastShortfall.value,
  },
  {
    id: 'no-gluten-grains',
    text: 'Most of this flour holds no gluten that can build: it will not trap gas as wheat does, and kneading does nothing for it. Gluten is not the cure here either.',
    source: 'common practice, no source',
    when: (f) => !f.totals.dryBase && f.strength.none > most,
  },
  {
    id: 'raw-flour',
    text: 'Raw flour is not for tasting, nor is raw dough.',
    source: 'US food-safety guidance',
    when: () => true,
  },
  {
    id: 'machine-too-loose',
    text: 'A dough in a bread machine must form a ball: this one is too loose for the paddle. Use a tin and your hands, or hold water back.',
    source: 'common practice, no source',
    when: (f) => styles[f.style].machine && f.points > f.kitchen.coefficients.machineLoosest.value,
  },
  {
    id: 'soft-wheat',
    text: 'Most of this flour is soft or ancient wheat: it spreads and tears with long kneading, and added gluten does not cure that. Short mixing, a tin for support.',
    source: 'common practice, no source',
    when: (f) => !f.totals.dryBase && f.strength.weak + f.strength.soft > most,
  },
];

function flourProtein(lines: readonly ResolvedLine[]): number {
  const flours = lines.filter(isFlour);
  const grams = sumGrams(flours);
  const protein = flours.reduce((sum, l) => sum + l.grams * l.of.composition.protein, 0);
  return grams > 0 ? protein / grams : 0;
}

/**
 * The cautions that a formula calls for, in the table's order.
 *
 * @param besides what goes on the bread or into its filling
 */
export function cautions(
  lines: readonly ResolvedLine[],
  facts: Omit<CautionFacts, 'ingredients' | 'eaten' | 'glutenGrams' | 'flourProtein' | 'strength'>,
  besides: readonly Ingredient[] = [],
): Caution[] {
  const ingredients = lines.filter((l) => l.grams > 0).map((l) => l.of);
  const present: CautionFacts = {
    ...facts,
    glutenGrams: lines.reduce((g, l) => g + (l.of.role === 'gluten' ? l.grams : 0), 0),
    flourProtein: flourProtein(lines),
    strength: strengthShares(lines),
    ingredients,
    eaten: [...ingredients, ...besides],
  };
  return cautionTable
    .filter((row) => row.when(present))
    .map(({ id, text }) => ({
      id,
      text: typeof text === 'string' ? text : text(present),
    }));
}
