import type { CarbSchool } from '../household/schools.ts';
import { figure, type Figure } from '../figure/figure.ts';

const annex = 'EU 1169/2011, annex XIV';
const kj = (value: number): Figure => figure(value, 'kJ per g', 0, annex);
const kcal = (value: number): Figure => figure(value, 'kcal per g', 0, annex);

/** Energy of a gram. Carbohydrate here is without fibre and without polyols. */
const energyFactors = {
  carbohydrate: { kJ: kj(17), kcal: kcal(4) },
  protein: { kJ: kj(17), kcal: kcal(4) },
  fat: { kJ: kj(37), kcal: kcal(9) },
  fibre: { kJ: kj(8), kcal: kcal(2) },
  polyols: { kJ: kj(10), kcal: kcal(2.4) },
  erythritol: { kJ: kj(0), kcal: kcal(0) },
  organicAcids: { kJ: kj(13), kcal: kcal(3) },
} as const;

type EnergyPart = keyof typeof energyFactors;

/**
 * Energy by the factors of the EU's annex XIV.
 *
 * @param grams of each part; carbohydrate without fibre and polyols
 * @example energy({carbohydrate: 50, protein: 9, fat: 2, fibre: 4}) // {kJ: 1109, kcal: 262}
 */
export function energy(grams: Partial<Record<EnergyPart, number>>): { kJ: number; kcal: number } {
  let sum = { kJ: 0, kcal: 0 };
  for (const [part, amount] of Object.entries(grams) as Array<[EnergyPart, number]>) {
    const { kJ, kcal: calories } = energyFactors[part];
    sum = { kJ: sum.kJ + amount * kJ.value, kcal: sum.kcal + amount * calories.value };
  }
  return sum;
}

/**
 * Part of a polyol that counts as net carbohydrate. On an EU label all of it is taken off; for the US
 * school half of most polyols is counted and none of erythritol: common practice, no source.
 */
export const polyolCounted: Readonly<Record<CarbSchool, { erythritol: number; other: number }>> = {
  eu: { erythritol: 0, other: 0 },
  us: { erythritol: 0, other: 0.5 },
};
