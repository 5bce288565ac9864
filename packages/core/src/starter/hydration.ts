import { isFlour } from '../formula/base.ts';
import type { Change } from '../formula/formula.ts';
import { isPouredWater } from '../formula/poured-water.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { sumGrams } from '../quantity/sum-grams.ts';

/**
 * A starter made stiffer or thinner in a dough that stays as it is: the water that leaves the one goes into the
 * other, the flour stays where it is.
 *
 * @param stage of the starter
 * @param hydration water for 100 g of its flour
 * @returns none where it cannot be: there is no flour in it, or the dough has not so much water
 * @example a starter of 50 g and 50 at 60 %: 20 g of its water go into the dough
 */
export function starterHydration(
  lines: readonly ResolvedLine[],
  stage: string,
  hydration: number,
): Change[] | undefined {
  const own = lines.filter((l) => l.stage === stage);
  const flour = sumGrams(own.filter(isFlour));
  const wet = own.find(isPouredWater);
  const well = lines
    .filter((l) => l.stageKind === 'dough' && isPouredWater(l))
    .sort((a, b) => b.grams - a.grams)[0];
  if (!(flour > 0) || !wet || !well) return undefined;
  const by =
    Math.round(((flour * hydration) / 100 - sumGrams(own.filter(isPouredWater))) * 10) / 10;
  if (well.grams - by < 0 || wet.grams + by < 0) return undefined;
  if (by === 0) return [];
  return [
    { stage, ingredient: wet.ingredient, grams: by },
    { stage: well.stage, ingredient: well.ingredient, grams: -by },
  ];
}
