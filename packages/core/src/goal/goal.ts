import type { CarbSchool } from '../household/schools.ts';
import type { Window } from '../style/style.ts';

/** What a baker wants of a bread. */
export interface Goal {
  /** At most so much net carbohydrate a portion, g. */
  readonly netCarbs?: number;
  /** At least so much protein in 100 g of bread, g. */
  readonly protein?: number;
  /** At most so many kilocalories a portion. */
  readonly kcal?: number;
  /** At least so much whole grain, % of the flour. */
  readonly whole?: number;
  /** A thing of which so many grams at least are to go: a bag that is to be used up. */
  readonly useUp?: { readonly ingredient: string; readonly grams: number };
  /** Grams of dough; as the formula has it where absent. */
  readonly dough?: number;
  /** Salt that is usual here, % of flour; the model's where absent. */
  readonly salt?: number;
  readonly portions: number;
  readonly school: CarbSchool;
  readonly window: Window;
  /** Share of the dough that the oven takes. */
  readonly loss: number;
  readonly prefer: 'fewest' | 'cheapest';
}

/** Goals that can be relaxed, in the words of the screen. */
export type Relaxable = 'netCarbs' | 'protein' | 'kcal' | 'whole' | 'useUp' | 'level';
