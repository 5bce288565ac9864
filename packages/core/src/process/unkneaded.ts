import { commonPractice, figure } from '../figure/figure.ts';
import type { Formula } from '../formula/formula.ts';
import { styles } from '../style/style.ts';

/** Minutes in which a dough is stirred together that nobody kneads. */
export const stirring = figure(3, 'min', 1, commonPractice);

const words =
  /\bno[- ]knead\b|\bwithout (?:any )?kneading\b|\bdo(?: not|n[’']?t) knead\b|\bneeds no kneading\b|\bnot (?:be )?kneaded\b/i;

/**
 * Whether a bread is stirred and never kneaded, by its style, its name and its recipe's words.
 *
 * @example isUnkneaded({style: 'pan', name: 'Loaf', steps: [{says: 'Stir it together without kneading.'}]}) // true
 */
export const isUnkneaded = ({
  style,
  name,
  steps = [],
}: Pick<Formula, 'style' | 'name' | 'steps'>): boolean =>
  !styles[style].kneaded || words.test(name) || steps.some((s) => words.test(s.says));
