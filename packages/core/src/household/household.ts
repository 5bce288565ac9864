import type { Bag, Price } from '../ingredient/bag.ts';
import type { Money } from './money.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { pantryOf, type Pantry } from '../ingredient/pantry.ts';
import { defaultMeasures, type Measures } from '../quantity/measures.ts';
import { plainWriting, type Writing } from '../quantity/writing.ts';
import type { Baker } from './baker.ts';
import type { OwnFigures } from '../coefficients/figure-rows.ts';
import { coefficientsWith, type Coefficients } from '../coefficients/coefficients.ts';
import type { Appliance } from '../machine/appliance.ts';
import type { Pan } from '../machine/pan.ts';
import type { Frictions } from './frictions.ts';
import type { Room } from './room.ts';
import type { HouseQuestionId } from './settled.ts';
import { usualWeek, type Week } from './week.ts';
import {
  percentageSchools,
  type CarbSchool,
  type PercentageSchool,
  type WaterSchool,
} from './schools.ts';

/** A custom of setting a piece of dough aside. Whose it is and how much, the household says by itself. */
export interface Custom {
  readonly name: string;
  /** Grams of flour in a batch from which it holds. */
  readonly fromFlour: number;
  /** Grams of dough. */
  readonly grams: number;
}

/** What the household has settled once for every formula. */
export interface Settings {
  readonly measures: Measures;
  readonly scaleStep: number;
  readonly room: Room;
  readonly percentages: PercentageSchool;
  readonly water: WaterSchool;
  readonly netCarbs: CarbSchool;
  /** Somebody here must not eat gluten. */
  readonly glutenFree: boolean;
  /** Somebody here keeps to little salt. */
  readonly lowSodium: boolean;
  /** Nobody here has a thermometer to put into a bread. */
  readonly noProbe: boolean;
  /** Id of the yeast in the cupboard, where there is only one. */
  readonly yeastKept?: string;
  /** How it writes masses, temperatures and decimals. */
  readonly writing: Writing;
  /** What it calls things that the catalogue calls otherwise, each with the id of what it is. */
  readonly words: Readonly<Record<string, string>>;
  /** What one of a thing weighs here, grams, by ingredient. */
  readonly each: Readonly<Record<string, number>>;
  /** The household's own figures over the catalogue's and the model's. */
  readonly figures: OwnFigures;
  /** The clock that it goes by, as the time zone data base names it; the page's own where absent. */
  readonly zone?: string;
  /** Metres above the sea. */
  readonly altitude?: number;
  /** When somebody is there, and when power is cheap. */
  readonly week: Week;
  /** Ovens, mixers, machines, cold boxes; one of each where none of a kind is told. */
  readonly appliances: readonly Appliance[];
  /** Tins, pots, baskets, bowls, with what they hold and weigh. */
  readonly pans: readonly Pan[];
  /** A piece of dough that is set aside by custom, once a batch has so much flour. */
  readonly custom?: Custom;
  /** Pairs of hands that bake at once. */
  readonly people: number;
  /** Who bakes here, the usual one first; nobody is told apart where there are none. */
  readonly bakers: readonly Baker[];
  /** Warmth that mixing was measured to put into a dough here. */
  readonly friction: Frictions;
  /** What was paid for things that are in no bag, by ingredient. */
  readonly prices: Readonly<Record<string, Price>>;
  readonly money: Money;
  /** What it was asked of itself, and answered. */
  readonly settled: readonly HouseQuestionId[];
}

/** A household: what it settled, and what stands in its pantry. */
export interface Household extends Settings {
  readonly own: readonly Ingredient[];
  readonly bags: readonly Bag[];
  /** ISO date; bags are open since then. Unknown where absent. */
  readonly today?: string;
  /** Who stands at the bowl; the usual one where absent. */
  readonly baker?: string;
}

export const defaultSettings: Settings = {
  measures: defaultMeasures,
  scaleStep: 1,
  room: {},
  percentages: percentageSchools[0],
  water: 'poured',
  netCarbs: 'eu',
  glutenFree: false,
  lowSodium: false,
  noProbe: false,
  writing: plainWriting,
  words: {},
  each: {},
  figures: {},
  week: usualWeek,
  appliances: [],
  pans: [],
  people: 1,
  bakers: [],
  friction: {},
  prices: {},
  money: { currency: 'EUR', shop: {} },
  settled: [],
};

export const defaultHousehold: Household = { ...defaultSettings, own: [], bags: [] };

/** The settings of a household alone: what it may change in one go. */
export function settingsOf({ own, bags, today, baker, ...settings }: Household): Settings {
  void [own, bags, today, baker];
  return settings;
}

/** By the list of bags: households of other days share it. */
const pantries = new WeakMap<Household['bags'], { of: Household; pantry: Pantry }>();
const tables = new WeakMap<OwnFigures, Coefficients>();

/** The household's pantry; worked out once for what stands in it. */
export function pantryIn(household: Household): Pantry {
  const { bags, own, figures, prices } = household;
  const known = pantries.get(bags);
  if (known && known.of.own === own && known.of.figures === figures && known.of.prices === prices)
    return known.pantry;
  const pantry = pantryOf(household);
  pantries.set(bags, { of: household, pantry });
  return pantry;
}

/** The tables with the household's own figures over them; worked out once for each set. */
export function coefficientsIn({ figures }: Household): Coefficients {
  const known = tables.get(figures);
  if (known) return known;
  const table = coefficientsWith(figures);
  tables.set(figures, table);
  return table;
}
