import { commonPractice, figure, ownModel } from '../quantity/figure.ts';

/** Every coefficient of the level that is not an ingredient's own. */
export const coefficients = {
  /** Sugars and fats count as if they were this much water. */
  softening: figure(0.3, 'g water per g', 0.1, ownModel),
  /** A person's own way of filling a flour cup, as a share of its weight. */
  fillHabit: figure(0, 'share', 0.06, commonPractice),
  /** Spread of a feel given in words or by a touch on the level. */
  feel: figure(1.5, 'points', 0, ownModel),
  /** Doubt that the word "about" adds to an amount. */
  about: figure(0.1, 'share', 0.05, commonPractice),
  /** A heaping spoon or cup, and how far heaps differ. */
  heaping: figure(0.5, 'share more', 0.2, commonPractice),
  /** Differences between goods that a measure's own spread does not hold, for spoons and cups. */
  spoonSpread: figure(0.03, 'share', 0.02, commonPractice),
} as const;

/** Half-width of an 80 % interval in standard deviations. Source: the normal distribution. */
export const z80 = 1.2815515655446004;
