import { isDay } from '../quantity/day.ts';

/** How a flour came to be what it is in its bag. One row a grind in {@link grinds}. */
export const grindIds = ['bought', 'fresh-warm', 'fresh-rested', 'sifted'] as const;
export type GrindId = (typeof grindIds)[number];

/** A bag of flour, told apart from others of its kind: what its label and the baker say of it. */
export interface Bag {
  readonly id: string;
  readonly name: string;
  /** Id of its kind: in the catalogue, or the household's own. */
  readonly ingredient: string;
  readonly grind?: GrindId;
  /** Share of the grain that stays in a sifted flour, 0.6 to 1. */
  readonly extraction?: number;
  /** Protein on the label, g per 100 g as is. */
  readonly protein?: number;
  /** Moisture as measured, per cent wet basis. */
  readonly moisture?: number;
  /** ISO date. */
  readonly openedOn?: string;
  /** What the whole bag cost, in the household's money, and how much it held. */
  readonly price?: { readonly paid: number; readonly kilograms: number };
  /** Used up: kept for what it taught, offered no more. */
  readonly finished?: boolean;
}

/** What cannot be on the label of a bag of flour, said at its field. */
export interface BagProblem {
  readonly field: 'protein' | 'moisture' | 'extraction' | 'price' | 'openedOn';
  readonly says: string;
}

/** What a bag of flour can hold. Common practice, no source: beyond these it is a slip of the pen. */
const sane = {
  protein: [4, 25],
  moisture: [4, 20],
  extraction: [0.6, 1],
  kilograms: [0.05, 100],
  paid: [0, 10_000],
} as const;

const within = (value: number | undefined, [low, high]: readonly [number, number]): boolean =>
  value === undefined || (value >= low && value <= high);

/**
 * What is wrong with what was said of a bag; empty where nothing is.
 *
 * @example bagProblems({protein: 45}) // [{field: 'protein', says: 'A flour has 4 to 25 % protein …'}]
 */
export function bagProblems(
  bag: Pick<Bag, 'protein' | 'moisture' | 'extraction' | 'price' | 'openedOn'>,
): BagProblem[] {
  const problems: BagProblem[] = [];
  if (!within(bag.protein, sane.protein)) {
    problems.push({
      field: 'protein',
      says: 'A flour has 4 to 25 % protein; above that it is gluten or a meal, and a kind of its own',
    });
  }
  if (!within(bag.moisture, sane.moisture)) {
    problems.push({
      field: 'moisture',
      says: 'Flour holds 4 to 20 % water; above 15 % it spoils',
    });
  }
  if (!within(bag.extraction, sane.extraction)) {
    problems.push({ field: 'extraction', says: 'Sifting keeps 60 to 100 % of the grain' });
  }
  if (!within(bag.price?.kilograms, sane.kilograms) || !within(bag.price?.paid, sane.paid)) {
    problems.push({
      field: 'price',
      says: 'A bag holds 0.05 to 100 kg and costs nothing or more',
    });
  }
  if (bag.openedOn !== undefined && !isDay(bag.openedOn)) {
    problems.push({ field: 'openedOn', says: 'There is no such day' });
  }
  return problems;
}

/**
 * What a kilogram of a bag cost.
 *
 * @returns undefined where its price is not known
 * @example pricePerKilo({price: {paid: 3, kilograms: 1.5}}) // 2
 */
export const pricePerKilo = ({ price }: Pick<Bag, 'price'>): number | undefined =>
  price && price.paid / price.kilograms;
