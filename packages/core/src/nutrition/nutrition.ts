import { sumGrams } from '../quantity/sum-grams.ts';
import type { CarbSchool } from '../household/schools.ts';
import { z80 } from '../coefficients/coefficients.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { measuringSd } from '../dough/measuring.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Composition, Ingredient } from '../ingredient/ingredient.ts';
import { energy, polyolCounted } from './energy.ts';
import { spreadOf, type Spreading } from './spread.ts';

/** A figure with the ends of its 80 % interval. */
export interface Estimate {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

const nutrients = [
  'protein',
  'fat',
  'carbohydrate',
  'fibre',
  'sugars',
  'polyols',
  'netCarbs',
  'sodium',
  'kJ',
  'kcal',
] as const;
type Nutrient = (typeof nutrients)[number];

/** Grams (sodium: milligrams; energy: kJ and kcal). Carbohydrate as the school counts it. */
export type Nutrition = Readonly<Record<Nutrient, Estimate>> & { readonly grams: number };

/** Carbohydrate without fibre and without polyols, g per 100 g; never below nothing. */
export const availableCarbs = ({ carbohydrate, fibre, polyols = 0 }: Composition): number =>
  Math.max(0, carbohydrate - fibre - polyols);

/** Net carbohydrate of an ingredient, g per 100 g, in a school. */
export function netCarbs({ composition, polyolEnergy }: Ingredient, school: CarbSchool): number {
  const counted = polyolCounted[school][polyolEnergy === 0 ? 'erythritol' : 'other'];
  return availableCarbs(composition) + counted * (composition.polyols ?? 0);
}

/** What 100 g of an ingredient hold. */
function per100(of: Ingredient, school: CarbSchool): Record<Nutrient, number> {
  const { composition } = of;
  const polyols = composition.polyols ?? 0;
  const available = availableCarbs(composition);
  const { kJ, kcal } = energy({
    carbohydrate: available,
    protein: composition.protein,
    fat: composition.fat,
    fibre: composition.fibre,
    [of.polyolEnergy === 0 ? 'erythritol' : 'polyols']: polyols,
  });
  return {
    protein: composition.protein,
    fat: composition.fat,
    carbohydrate: school === 'us' ? composition.carbohydrate : available + polyols,
    fibre: composition.fibre,
    sugars: composition.sugars,
    polyols,
    netCarbs: netCarbs(of, school),
    sodium: composition.sodium,
    kJ,
    kcal,
  };
}

/** What of a composition each nutrient differs with. */
const differsWith: Readonly<Record<Nutrient, Spreading>> = {
  protein: 'protein',
  fat: 'fat',
  carbohydrate: 'available',
  fibre: 'fibre',
  sugars: 'available',
  polyols: 'available',
  netCarbs: 'available',
  sodium: 'sodium',
  kJ: 'available',
  kcal: 'available',
};

/** The nutrients whose energy a gram of carbohydrate more or less takes from protein or fat: it hardly moves. */
const byEnergy: ReadonlySet<Nutrient> = new Set(['kJ', 'kcal']);
/** Spread of energy, share: what there is more of one there is less of another. Own estimate, no source. */
const energySpread = 0.04;

/**
 * What a whole bread holds, with 80 % intervals from how it is measured and how far goods differ. What
 * the yeast eats is not taken off: it is little, and it errs on the careful side.
 *
 * @param loss share of the dough that the oven takes: water, so that only the weight changes
 * @example nutrition(lines, 'eu', kitchen, 0.12).netCarbs.value
 */
export function nutrition(
  lines: readonly ResolvedLine[],
  school: CarbSchool,
  kitchen: Kitchen,
  loss: number,
): Nutrition {
  const held = lines.map((line) => ({
    line,
    of: per100(line.of, school),
    share: line.grams > 0 ? measuringSd(line, kitchen) / line.grams : 0,
  }));
  const estimate = (nutrient: Nutrient): Estimate => {
    let value = 0;
    let variance = 0;
    for (const { line, of, share } of held) {
      const amount = (line.grams * of[nutrient]) / 100;
      value += amount;
      const differs = byEnergy.has(nutrient)
        ? energySpread
        : spreadOf(line.of, differsWith[nutrient]);
      variance += amount ** 2 * (share ** 2 + differs ** 2);
      // Fibre that is not there is carbohydrate that is: the two err against each other.
      if (nutrient === 'netCarbs' || (nutrient === 'carbohydrate' && school === 'eu')) {
        variance += ((line.grams * of.fibre * spreadOf(line.of, 'fibre')) / 100) ** 2;
      }
    }
    const half = z80 * Math.sqrt(variance);
    return { value, low: Math.max(0, value - half), high: value + half };
  };
  const all = Object.fromEntries(nutrients.map((n) => [n, estimate(n)])) as Record<
    Nutrient,
    Estimate
  >;
  const dough = sumGrams(lines);
  return { ...all, grams: dough * (1 - loss) };
}

/**
 * A part of a bread.
 *
 * @param share of the whole, 0 or more
 * @example partOf(whole, 1 / 16) // a slice of sixteen
 */
export function partOf(whole: Nutrition, share: number): Nutrition {
  const scaled = ({ value, low, high }: Estimate): Estimate => ({
    value: value * share,
    low: low * share,
    high: high * share,
  });
  return {
    ...(Object.fromEntries(nutrients.map((n) => [n, scaled(whole[n])])) as Record<
      Nutrient,
      Estimate
    >),
    grams: whole.grams * share,
  };
}

/** What a hundred grams of a bread hold. */
export const inHundredGrams = (whole: Nutrition): Nutrition => partOf(whole, 100 / whole.grams);
