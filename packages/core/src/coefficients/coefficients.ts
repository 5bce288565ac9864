import { commonPractice, figure, ownModel } from '../figure/figure.ts';
import { settable, tableWithOwn, type OwnValues, type Settable } from '../figure/settable.ts';

/**
 * Every coefficient of the dough model that is not an ingredient's own: the one place where they stand,
 * and the one that a household's own figures go over.
 */
export const coefficients = {
  softening: settable(
    'Sugar and fat soften like so much water',
    figure(0.3, 'g water per g', 0.1, ownModel),
    0,
    1,
  ),
  feel: settable(
    'Spread of a feel said in words or by touch',
    figure(1.5, 'points', 0, ownModel),
    0.2,
    6,
  ),
  fillHabit: settable(
    'A person’s own way of filling a flour cup',
    figure(0, 'share', 0.113, commonPractice),
    -0.3,
    0.3,
  ),
  fillByFlour: settable(
    'The same for one flour beside the others',
    figure(0, 'share', 0.04, 'own share of the habit’s spread of .12, no source'),
    -0.2,
    0.2,
  ),
  damp: settable(
    'This house’s flour follows the air by so much more than the grain’s equation says',
    figure(0, 'share', 0.4, 'the equation is of grain, and of air in a store; own estimate'),
    -1,
    2,
  ),
  // 2 on households like the model's; a little more holds in kitchens that are unlike it.
  departure: settable(
    'A bread departs from the model',
    figure(0, 'points', 2.3, ownModel),
    -10,
    10,
  ),
  touch: settable(
    'A household’s touch differs from the scale’s words',
    figure(0, 'points', 1.5, ownModel),
    -5,
    5,
  ),
  bagMoisture: settable(
    'How moist an unmeasured bag is, and stays',
    figure(0.6, 'points of moisture', 0.3, commonPractice),
    0.1,
    3,
  ),
  bagWander: settable(
    'A flour’s absorption wanders in a season of 90 days by',
    figure(0.015, 'g per g', 0.01, ownModel),
    0,
    0.1,
  ),
  about: settable('Doubt in “about”', figure(0.1, 'share', 0.05, commonPractice), 0, 0.5),
  heaping: settable(
    'A heap on a spoon or cup is so much more',
    figure(0.5, 'share more', 0.2, commonPractice),
    0,
    1,
  ),
  spoonSpread: settable(
    'Differences between goods, for spoons and cups',
    figure(0.03, 'share', 0.02, commonPractice),
    0,
    0.2,
  ),
  moistureSpread: settable(
    'A bag’s moisture from bake to bake',
    figure(0.35, 'points of moisture', 0.3, commonPractice),
    0.1,
    3,
  ),
  measuredMoisture: settable(
    'A bag’s moisture where it was measured',
    figure(0.3, 'points of moisture', 0.1, commonPractice),
    0.05,
    2,
  ),
  ordinaryCelsius: settable(
    'Room in which the absorptions hold',
    figure(21, '°C', 2, commonPractice),
    10,
    35,
  ),
  ordinaryHumidity: settable(
    'Air in which the absorptions hold',
    figure(0.6, 'relative humidity', 0.1, commonPractice),
    0.2,
    0.9,
  ),
  bagResponse: settable(
    'An open bag closes two thirds of the gap to the air in',
    figure(21, 'days', 10, commonPractice),
    2,
    120,
  ),
  usualDaysOpen: settable(
    'A bag is taken to be open for, where nothing is said',
    figure(14, 'days', 10, commonPractice),
    0,
    120,
  ),
  slowFlour: settable(
    'Whole and fresh flour has taken up at the first touch',
    figure(0.9, 'share of its absorption', 0.04, ownModel),
    0.5,
    1,
  ),
  slowMeal: settable(
    'Bran, meal and fibre have taken up at the first touch',
    figure(0.75, 'share of their absorption', 0.1, ownModel),
    0.2,
    1,
  ),
  slowGrain: settable(
    'Oats, seeds and dried fruit have taken up at the first touch',
    figure(0.4, 'share of their absorption', 0.15, ownModel),
    0,
    1,
  ),
  restMinutes: settable(
    'Slow flours have taken up their water after',
    figure(25, 'min', 5, commonPractice),
    10,
    60,
  ),
  saltLeast: settable(
    'Less salt than this asks for more',
    figure(0.9, '% of flour', 0.1, commonPractice),
    0,
    3,
  ),
  saltUsualLow: settable('Usual salt, from', figure(1.8, '% of flour', 0.1, commonPractice), 0, 3),
  saltUsualHigh: settable('Usual salt, to', figure(2.2, '% of flour', 0.1, commonPractice), 0, 4),
  saltMost: settable(
    'More salt than this asks for less',
    figure(2.5, '% of flour', 0.2, commonPractice),
    1,
    5,
  ),
  saltLow: settable(
    'Salt of a low-sodium loaf',
    figure(0.9, '% of flour', 0.2, commonPractice),
    0,
    2,
  ),
  saltBrake: settable(
    'A point of salt slows the rise by',
    figure(0.09, 'share per % of flour', 0.04, commonPractice),
    0,
    0.3,
  ),
  yeastUsualLow: settable('Usual yeast, from', figure(1, '% instant', 0.2, commonPractice), 0.1, 3),
  yeastUsualHigh: settable(
    'Usual yeast, to',
    figure(1.5, '% instant', 0.2, commonPractice),
    0.1,
    4,
  ),
  yeastMost: settable(
    'More yeast than this asks for less',
    figure(2.5, '% instant', 0.3, commonPractice),
    0.5,
    6,
  ),
  yeastCeiling: settable(
    'A cold kitchen is never answered with more yeast than',
    figure(2, '% instant', 0.2, commonPractice),
    1,
    4,
  ),
  yeastMostDry: settable(
    'More yeast than this in a dough without flour asks for less',
    figure(4.5, '% instant of the dry base', 0.5, commonPractice),
    1,
    8,
  ),
  osmoticScale: settable(
    'Salt and sugar brake yeast on a scale of',
    figure(3.42, 'osmol per kg of water', 0.3, ownModel),
    1,
    10,
  ),
  osmoticScaleTolerant: settable(
    'The same for yeast that was bred for sweet doughs',
    figure(4.9, 'osmol per kg of water', 0.5, ownModel),
    1,
    15,
  ),
  usualRoom: settable(
    'Room that the usual yeast is meant for',
    figure(26, '°C', 1, commonPractice),
    15,
    35,
  ),
  yeastFood: settable(
    'Sugar that feeds a dough without starch',
    figure(4, 'g', 1, commonPractice),
    0,
    20,
  ),
  glutenMost: settable(
    'More gluten than this turns rubbery',
    figure(5, '% of flour', 1, commonPractice),
    1,
    15,
  ),
  machineLoosest: settable(
    'Above this a machine’s dough forms no ball',
    figure(8, 'points', 1, commonPractice),
    2,
    20,
  ),
  certaintyHigh: settable(
    'A correction is very likely called for, from',
    figure(0.9, 'chance', 0, 'by convention'),
    0.5,
    1,
  ),
  certaintyFair: settable(
    'A correction is likely called for, from',
    figure(0.7, 'chance', 0, 'by convention'),
    0.3,
    1,
  ),
  leastShortfall: settable(
    'Protein missing below this is lost between bags',
    figure(0.7, 'g per 100 g', 0.2, commonPractice),
    0,
    2,
  ),
  proteinAimDoubt: settable(
    'Bakers differ in the protein they want in a bread by',
    figure(
      1.3,
      'g per 100 g',
      0.4,
      'own estimate, no source: tin loaves are baked of flours of 10 to 14 %',
    ),
    0.1,
    4,
  ),
  branAllowance: settable(
    'Protein that whole grain asks for on top',
    figure(1.5, 'g per 100 g at 100 % whole grain', 0.5, commonPractice),
    0,
    4,
  ),
} as const satisfies Record<string, Settable>;

export type CoefficientName = keyof typeof coefficients;
export type Coefficients = Readonly<Record<CoefficientName, Settable>>;

/**
 * The coefficients with a household's own in their place. What is out of range is left as it was.
 *
 * @example coefficientsWith({softening: 0.25}).softening.value // .25
 */
export const coefficientsWith = (own: OwnValues): Coefficients => tableWithOwn(coefficients, own);

/** Half-width of an 80 % interval in standard deviations. Source: the normal distribution. */
export const z80 = 1.2815515655446004;
