import { bakedByMachine } from '../schedule/bread-tasks.ts';
import { inOven } from '../schedule/in-oven.ts';
import { breadMade } from '../bake/bread-made.ts';
import { courseOf } from '../lead/run-of.ts';
import { householdOn } from '../bake/circumstances.ts';
import type { Belief } from '../belief/belief.ts';
import type { Household } from '../household/household.ts';
import { measuredOf } from '../belief/measured.ts';
import { machinePower, mixerPower, ovenPower, usualMachinePower } from '../machine/power.ts';
import { costOf, type Cost } from '../nutrition/cost.ts';
import { portionsOf, type Portions } from '../nutrition/slices.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { styles } from '../style/style.ts';
import { measures } from './measures.ts';
import type { BakeRecord } from './record.ts';

/** What a bread cost, in the household's money. */
export interface BreadCost {
  readonly ingredients: Cost;
  readonly power: {
    readonly kilowattHours: number;
    /** Read off a meter, and not reckoned. */
    readonly read: boolean;
    /** Absent where nobody said what a kilowatt hour costs. */
    readonly cost?: number;
  };
  /** A price of something of it is known; else what it cost is not 0, it is not known. */
  readonly priced: boolean;
  readonly total: number;
  readonly portions: Portions;
  readonly perPortion: number;
  /** Of the bread as it comes out, grams, and what 100 of them cost. */
  readonly grams: number;
  readonly perHundred: number;
  /** What a shop asks for as much of such a bread. */
  readonly shop?: number;
}

/** What an oven or a machine took, kWh, where no meter was read. */
function reckoned(record: BakeRecord, household: Household, belief: Belief): number {
  const { state, meant, method, id } = record;
  const course = state.course && courseOf(state.course, household);
  const made = {
    id,
    formula: record.formula,
    lines: record.made,
    state,
    household,
    device: method,
  };
  const bread = breadMade({ ...made, ...(course ? { course } : {}) }, belief);
  if (course?.kind === 'whole') return machinePower(course.programme.stages);
  if (bakedByMachine(bread)) return usualMachinePower.loaf.value;
  const { baking } = styles[meant.style];
  const minutes = measures.inOven.of(record) ?? inOven(bread).usual;
  const kneading =
    method === 'mixer'
      ? mixerPower.value
      : method === 'hand'
        ? 0
        : course
          ? machinePower(course.programme.stages)
          : usualMachinePower.dough.value;
  return kneading + ovenPower(baking.celsius.value, baking.heating.value + minutes);
}

/**
 * What a bake cost: its ingredients by the prices of bags, labels and packs, its power by the meter or reckoned.
 *
 * @param cheap whether the oven was on in the hours of cheap or own power
 * @example breadCost(record, household, belief).perPortion // .11
 */
export function breadCost(
  record: BakeRecord,
  household: Household,
  belief: Belief,
  cheap = false,
): BreadCost {
  const { made, state, meant, bread } = record;
  const then = householdOn(household, record.circumstances);
  const ingredients = costOf(made);
  const kilowattHours = state.kilowattHours ?? reckoned(record, then, belief);
  const { power, cheapPower, shop } = household.money;
  const price = cheap ? (cheapPower ?? power) : power;
  const powerCost = price === undefined ? undefined : price * kilowattHours;
  const total = ingredients.known + (powerCost ?? 0);
  const loss = measuredOf(belief, 'loss', {
    style: meant.style,
    pan: state.divided?.pan,
    figures: then.figures,
  }).mean;
  const grams = state.outcome?.after ?? sumGrams(made) * (1 - loss);
  const portions = portionsOf(meant);
  const asked = bread === undefined ? undefined : shop[bread];
  return {
    ingredients,
    power: {
      kilowattHours,
      read: state.kilowattHours !== undefined,
      ...(powerCost === undefined ? {} : { cost: powerCost }),
    },
    priced: ingredients.known > 0 || powerCost !== undefined,
    total,
    portions,
    perPortion: total / portions.count,
    grams,
    perHundred: grams > 0 ? (100 * total) / grams : 0,
    ...(asked && asked.grams > 0 ? { shop: (asked.price * grams) / asked.grams } : {}),
  };
}
