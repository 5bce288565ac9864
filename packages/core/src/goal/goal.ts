import type { CarbSchool } from '../household/schools.ts';
import type { Window } from '../style/style.ts';
import { commonPractice } from '../figure/figure.ts';
import type { Role } from '../ingredient/role.ts';

/** What a baker wants of a bread. */
export interface Goal {
  /** At most so much net carbohydrate a portion, g. */
  readonly netCarbs?: number;
  /** At least so much protein in 100 g of bread, g. */
  readonly protein?: number;
  /** At most so many kilocalories a portion. */
  readonly kcal?: number;
  /** Grams of dough; as the formula has it where absent. */
  readonly dough?: number;
  readonly portions: number;
  readonly school: CarbSchool;
  readonly window: Window;
  /** Share of the dough that the oven takes. */
  readonly loss: number;
  readonly prefer: 'fewest' | 'cheapest';
}

/** Goals that can be relaxed, in the words of the screen. */
export const relaxable = ['netCarbs', 'protein', 'kcal', 'level'] as const;
export type Relaxable = (typeof relaxable)[number];

interface Bounds {
  readonly least?: number;
  readonly most?: number;
}

/** Most of single ingredients, as a share of the base: beyond it the crumb is gummy or bitter. */
export const mostOf: Readonly<Record<string, number>> = {
  psyllium: 0.08,
  'chia-seeds': 0.1,
  'lupin-flour': 0.2,
  xanthan: 0.012,
};

/** Most and least of a role, as a share of the base, where a bread without cereal flour holds together. */
export const structure: Readonly<Partial<Record<Role, Bounds>>> = {
  gluten: { least: 0.3, most: 0.75 },
  fibre: { most: 0.3 },
  meal: { most: 0.6 },
  bran: { most: 0.3 },
  egg: { most: 0.6 },
  fat: { most: 0.2 },
  sweetener: { most: 0.25 },
  powder: { most: 0.15 },
  grain: { most: 0.2 },
  addIn: { most: 0.4 },
  improver: { most: 0.02 },
};

/** The same beside cereal flour. */
export const wheatStructure: typeof structure = {
  gluten: { most: 0.05 },
  fibre: { most: 0.1 },
  meal: { most: 0.25 },
  bran: { most: 0.2 },
  egg: { most: 0.35 },
  fat: { most: 0.25 },
  sugar: { most: 0.2 },
  sweetener: { most: 0.1 },
  powder: { most: 0.1 },
  grain: { most: 0.35 },
  addIn: { most: 0.5 },
  improver: { most: 0.02 },
};

export const structureSource = commonPractice;
