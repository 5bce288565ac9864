import { figure, type Figure } from '../figure/figure.ts';
import type { WeighedCup } from '../quantity/measures.ts';

/** Weighings that make a cup one's own. */
export const weighingsWanted = 3;

/** Spread of a filled cup before it is weighed, as a share, and how many weighings that belief is worth. */
const prior = { share: 0.06, worth: 2 };

/**
 * Grams per millilitre of a cup that the household weighed. The middle is that of its weighings; the
 * spread is theirs, pooled with the usual spread of a filled cup, which counts as two weighings more, so
 * that three fillings that happen to agree are not taken for certainty.
 *
 * Source: the scaled inverse chi-squared update of a normal's variance, e.g. Gelman et al., Bayesian
 * Data Analysis, chapter 2, from memory.
 *
 * @param catalogue what the catalogue says, used where nothing was weighed
 * @example ownCup({weighings: [131, 127, 135], millilitres: 250}).value * 250 // 131
 */
export function ownCup(
  { weighings, millilitres }: WeighedCup,
  catalogue?: Figure,
): Figure | undefined {
  const count = weighings.length;
  if (count === 0) return catalogue;
  const mean = weighings.reduce((sum, w) => sum + w, 0) / count;
  const squares = weighings.reduce((sum, w) => sum + (w - mean) ** 2, 0);
  const usual = catalogue ? (catalogue.sd / catalogue.value) * mean : prior.share * mean;
  const variance = (squares + prior.worth * usual ** 2) / (count - 1 + prior.worth);
  // A new filling strays by its own spread and by what the mean of so few is still unsure of.
  const sd = Math.sqrt(variance * (1 + 1 / count));
  return figure(
    mean / millilitres,
    'g per ml',
    sd / millilitres,
    `your own cup, weighed ${count === 1 ? 'once' : `${count} times`}`,
  );
}

/** What is wrong with a weighing of a cup of something, or nothing. */
export function weighingProblem(grams: number, millilitres: number): string | undefined {
  const density = grams / millilitres;
  return density >= 0.1 && density <= 2
    ? undefined
    : 'A cup of anything for bread weighs between 25 and 500 g: was the bowl tared?';
}
