import { percentageSchools, type PercentageSchool } from '../formula/percentage.ts';
import { defaultMeasures, type Measures } from '../quantity/measures.ts';
import { nothingLearned, type Belief } from './belief.ts';
import type { Kitchen } from './level.ts';
import type { Room } from './weather.ts';

/** What the household has settled once for every formula. */
export interface Household {
  readonly measures: Measures;
  readonly scaleStep: number;
  readonly room: Room;
  readonly percentages: PercentageSchool;
  /** Id of the yeast in the cupboard, where there is only one. */
  readonly yeastKept?: string;
}

export const defaultHousehold: Household = {
  measures: defaultMeasures,
  scaleStep: 1,
  room: {},
  percentages: percentageSchools[0],
};

/** The kitchen that a level is worked out in. */
export const kitchenOf = (household: Household, belief: Belief = nothingLearned): Kitchen => ({
  measures: household.measures,
  scaleStep: household.scaleStep,
  room: household.room,
  belief,
});
