import { commonPractice, figure, ownModel, type Figure } from '../figure/figure.ts';

/** A coefficient: a figure with the words and the range in which a baker may set it. */
export interface Coefficient extends Figure {
  readonly label: string;
  readonly least: number;
  readonly most: number;
}

const row = (label: string, of: Figure, least: number, most: number): Coefficient => ({
  ...of,
  label,
  least,
  most,
});

/**
 * Every coefficient of the dough model that is not an ingredient's own: the one place where they stand,
 * and the one that a household's own figures go over.
 */
export const coefficients = {
  softening: row(
    'Sugar and fat soften like so much water',
    figure(0.3, 'g water per g', 0.1, ownModel),
    0,
    1,
  ),
  feel: row(
    'Spread of a feel said in words or by touch',
    figure(1.5, 'points', 0, ownModel),
    0.2,
    6,
  ),
  fillHabit: row(
    'A person’s own way of filling a flour cup',
    figure(0, 'share', 0.06, commonPractice),
    -0.3,
    0.3,
  ),
  about: row('Doubt in “about”', figure(0.1, 'share', 0.05, commonPractice), 0, 0.5),
  heaping: row(
    'A heap on a spoon or cup is so much more',
    figure(0.5, 'share more', 0.2, commonPractice),
    0,
    1,
  ),
  spoonSpread: row(
    'Differences between goods, for spoons and cups',
    figure(0.03, 'share', 0.02, commonPractice),
    0,
    0.2,
  ),
  moistureSpread: row(
    'A bag’s moisture about what is assumed of it',
    figure(0.7, 'points of moisture', 0.3, commonPractice),
    0.1,
    3,
  ),
  measuredMoisture: row(
    'A bag’s moisture where it was measured',
    figure(0.3, 'points of moisture', 0.1, commonPractice),
    0.05,
    2,
  ),
  ordinaryCelsius: row(
    'Room in which the thirsts hold',
    figure(21, '°C', 2, commonPractice),
    10,
    35,
  ),
  ordinaryHumidity: row(
    'Air in which the thirsts hold',
    figure(0.6, 'relative humidity', 0.1, commonPractice),
    0.2,
    0.9,
  ),
  bagResponse: row(
    'An open bag closes two thirds of the gap to the air in',
    figure(21, 'days', 10, commonPractice),
    2,
    120,
  ),
  usualDaysOpen: row(
    'A bag is taken to be open for, where nothing is said',
    figure(14, 'days', 10, commonPractice),
    0,
    120,
  ),
  slowFlour: row(
    'Whole and fresh flour has drunk at the first touch',
    figure(0.9, 'share of its thirst', 0.04, ownModel),
    0.5,
    1,
  ),
  slowMeal: row(
    'Bran, meal and fibre have drunk at the first touch',
    figure(0.75, 'share of their thirst', 0.1, ownModel),
    0.2,
    1,
  ),
  slowGrain: row(
    'Oats, seeds and dried fruit have drunk at the first touch',
    figure(0.4, 'share of their thirst', 0.15, ownModel),
    0,
    1,
  ),
  restMinutes: row(
    'After so long slow drinkers have had enough',
    figure(25, 'min', 5, commonPractice),
    10,
    60,
  ),
  saltLeast: row(
    'Less salt than this asks for more',
    figure(0.9, '% of flour', 0.1, commonPractice),
    0,
    3,
  ),
  saltUsualLow: row('Usual salt, from', figure(1.8, '% of flour', 0.1, commonPractice), 0, 3),
  saltUsualHigh: row('Usual salt, to', figure(2.2, '% of flour', 0.1, commonPractice), 0, 4),
  saltMost: row(
    'More salt than this asks for less',
    figure(2.5, '% of flour', 0.2, commonPractice),
    1,
    5,
  ),
  saltLow: row('Salt of a low-sodium loaf', figure(0.9, '% of flour', 0.2, commonPractice), 0, 2),
  saltBrake: row(
    'A point of salt slows the rise by',
    figure(0.09, 'share per % of flour', 0.04, commonPractice),
    0,
    0.3,
  ),
  saltTightens: row(
    'A point of salt firms the dough by about',
    figure(1, 'points per % of flour', 0.7, 'own estimate, no source'),
    0,
    4,
  ),
  yeastUsualLow: row('Usual yeast, from', figure(1, '% instant', 0.2, commonPractice), 0.1, 3),
  yeastUsualHigh: row('Usual yeast, to', figure(1.5, '% instant', 0.2, commonPractice), 0.1, 4),
  yeastMost: row(
    'More yeast than this asks for less',
    figure(2.5, '% instant', 0.3, commonPractice),
    0.5,
    6,
  ),
  slowingSugar: row(
    'Sugar above this slows yeast',
    figure(10, '% of flour', 1, commonPractice),
    3,
    30,
  ),
  usualRoom: row(
    'Room that the usual yeast is meant for',
    figure(26, '°C', 1, commonPractice),
    15,
    35,
  ),
  yeastFood: row(
    'Sugar that feeds a dough without starch',
    figure(4, 'g', 1, commonPractice),
    0,
    20,
  ),
  glutenMost: row(
    'More gluten than this turns rubbery',
    figure(5, '% of flour', 1, commonPractice),
    1,
    15,
  ),
  leastShortfall: row(
    'Protein missing below this is lost between bags',
    figure(0.25, 'g per 100 g', 0.1, commonPractice),
    0,
    2,
  ),
  branAllowance: row(
    'Protein that whole grain asks for on top',
    figure(1.5, 'g per 100 g at 100 % whole grain', 0.5, commonPractice),
    0,
    4,
  ),
} as const satisfies Record<string, Coefficient>;

export type CoefficientName = keyof typeof coefficients;
export type Coefficients = Readonly<Record<CoefficientName, Coefficient>>;

/** What a household set by itself, by the name of the figure. */
export type OwnFigures = Readonly<Record<string, number>>;

export const setHere = 'set by this household';

const names = Object.keys(coefficients) as CoefficientName[];

/**
 * The coefficients with a household's own in their place. What is out of range is left as it was.
 *
 * @example coefficientsWith({softening: 0.25}).softening.value // .25
 */
export function coefficientsWith(own: OwnFigures): Coefficients {
  const set = names.filter((name) => {
    const value = own[name];
    return (
      value !== undefined && value >= coefficients[name].least && value <= coefficients[name].most
    );
  });
  if (set.length === 0) return coefficients;
  return {
    ...coefficients,
    ...Object.fromEntries(
      set.map((name) => [name, { ...coefficients[name], value: own[name]!, source: setHere }]),
    ),
  };
}

/** Half-width of an 80 % interval in standard deviations. Source: the normal distribution. */
export const z80 = 1.2815515655446004;
