import { commonPractice, figure, ownModel, type Figure } from '../figure/figure.ts';
import type { Bag, GrindId } from './bag.ts';
import { drinkers } from './drinkers.ts';
import type { Composition, Ingredient } from './ingredient.ts';
import { perCup } from './rows.ts';

/** What a grind does to a whole flour. */
interface Grind {
  readonly label: string;
  /** Added to the absorption of the bought flour, g per g. */
  readonly absorption: Figure;
  /** Out of the mill or the bag, °C; the room's where absent. */
  readonly celsius?: Figure;
  readonly fluffy: boolean;
}

const unchanged = figure(0, 'g water per g', 0, 'by definition');

/** By grind. Fresh flour drinks a little more than bought and is fluffier in the cup. */
export const grinds: Readonly<Record<GrindId, Grind>> = {
  bought: { label: 'bought', absorption: unchanged, fluffy: false },
  'fresh-warm': {
    label: 'fresh from the mill, warm',
    absorption: figure(0.03, 'g water per g', 0.025, ownModel),
    celsius: figure(40, '°C', 3, commonPractice),
    fluffy: true,
  },
  'fresh-rested': {
    label: 'milled here, rested',
    absorption: figure(0.02, 'g water per g', 0.025, ownModel),
    fluffy: false,
  },
  sifted: { label: 'milled and sifted', absorption: unchanged, fluffy: true },
};

/** Bran and germ in a kernel of wheat: what sifting can take away. */
const branInKernel = figure(0.17, 'share of the kernel', 0.02, commonPractice);

/** Share that a household sieve keeps where the baker has not said. */
const usualExtraction = figure(0.85, 'share of the grain', 0.05, commonPractice);

const bran = drinkers.find((i) => i.id === 'wheat-bran')!;
const freshCup = { level: perCup(112, 8) };

/** What is left of a figure per gram when a share of bran is taken away: a balance of masses. */
const without = (whole: number, taken: number, ofBran: number): number =>
  Math.max(0, (whole - taken * ofBran) / (1 - taken));

function siftedComposition(whole: Composition, taken: number): Composition {
  const of = (key: 'protein' | 'fat' | 'carbohydrate' | 'fibre' | 'sugars' | 'sodium' | 'water') =>
    without(whole[key], taken, bran.composition[key]);
  return {
    ...whole,
    water: of('water'),
    protein: of('protein'),
    fat: of('fat'),
    carbohydrate: of('carbohydrate'),
    fibre: of('fibre'),
    sugars: of('sugars'),
    sodium: of('sodium'),
    source: `${whole.source}, less the bran that the sieve holds back`,
  };
}

/**
 * A flour as it is ground in its bag. Sifting takes bran away: absorption, protein and fibre follow from a
 * balance of masses with bran's own figures. A kind that is fresh-milled in the catalogue is taken as
 * it stands there.
 *
 * @example groundAs(ingredient('rye-whole'), {grind: 'fresh-warm', …}).absorption.value // .81
 */
export function groundAs(of: Ingredient, bag: Pick<Bag, 'grind' | 'extraction'>): Ingredient {
  if (!bag.grind || bag.grind === 'bought' || of.role !== 'flour') return of;
  const grind = grinds[bag.grind];
  const own = of.freshMilled ? 0 : grind.absorption.value;
  const taken =
    bag.grind === 'sifted' && (of.whole ?? 0) > 0.5
      ? 1 - (bag.extraction ?? usualExtraction.value)
      : 0;
  const sifted: Partial<Ingredient> =
    taken > 0
      ? {
          composition: siftedComposition(of.composition, taken),
          whole: Math.max(0, (of.whole ?? 0) * (1 - taken / branInKernel.value)),
        }
      : {};
  return {
    ...of,
    ...sifted,
    absorption: {
      ...of.absorption,
      value: without(of.absorption.value + own, taken, bran.absorption.value),
      sd: of.freshMilled ? of.absorption.sd : Math.hypot(of.absorption.sd, grind.absorption.sd),
    },
    ...(grind.fluffy ? { cup: freshCup } : {}),
    freshMilled: true,
  };
}

/** What to mill for a wanted weight of flour. */
interface Milling {
  readonly grain: number;
  /** Bran that stays in the sieve. */
  readonly bran: number;
  /** Minutes in a household mill. */
  readonly minutes: number;
}

/** A household mill makes a loaf's flour in about five minutes. */
const gramsPerMinute = figure(90, 'g per min', 30, commonPractice);

/**
 * Grain to mill for a weight of flour. Grain weight is flour weight, less what the sieve holds back.
 *
 * @param flour grams wanted, 0 or more
 * @param extraction share that passes the sieve, above 0 to 1
 * @throws RangeError for an extraction outside that
 * @example grainFor(450) // {grain: 450, bran: 0, minutes: 5}
 * @example grainFor(425, 0.85) // {grain: 500, bran: 75, …}
 */
export function grainFor(flour: number, extraction = 1): Milling {
  if (!(extraction > 0 && extraction <= 1)) throw new RangeError('extraction is above 0, to 1');
  const grain = flour / extraction;
  return { grain, bran: grain - flour, minutes: grain / gramsPerMinute.value };
}
