import { commonPractice, figure } from '../figure/figure.ts';
import type { Formula } from '../formula/formula.ts';

/** Minutes in which a dough is stirred together that nobody kneads. */
export const stirring = figure(3, 'min', 1, commonPractice);

const words =
  /\bno[- ]knead\b|\bwithout (?:any )?kneading\b|\bdo(?: not|n[’']?t) knead\b|\bneeds no kneading\b|\bnot (?:be )?kneaded\b/i;

/**
 * Whether a bread is stirred and never kneaded, by its name and its recipe's words.
 *
 * @example isUnkneaded({name: 'Loaf', steps: [{says: 'Stir it together without kneading.'}]}) // true
 */
export const isUnkneaded = ({ name, steps = [] }: Pick<Formula, 'name' | 'steps'>): boolean =>
  words.test(name) || steps.some((s) => words.test(s.says));
