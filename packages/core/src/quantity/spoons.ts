import { kitchenFraction } from './fraction.ts';
import { cupMillilitres, tablespoonMillilitres, teaspoonMillilitres, type Measures } from './measures.ts';

const counted = (count: number, one: string): string =>
  `${kitchenFraction(count)} ${one}${count > 1 ? 's' : ''}`;

/** Rounds to the marks that a measure has. */
const toMark = (count: number, marks: number): number => Math.round(count * marks) / marks;

/**
 * A volume in the household's spoons and cups, in words, to the nearest mark that there is.
 *
 * @param ml 0 or more
 * @example spoonsInWords(15, defaultMeasures) // '1 tablespoon'
 * @example spoonsInWords(19, defaultMeasures) // '1 tablespoon and ¾ teaspoon'
 */
export function spoonsInWords(ml: number, measures: Measures): string {
  const teaspoon = teaspoonMillilitres[measures.tablespoon];
  const tablespoon = tablespoonMillilitres[measures.tablespoon];
  const cup = cupMillilitres[measures.cup];
  if (ml < teaspoon / 16) return 'less than a pinch';
  if (ml < teaspoon / 6) return 'a pinch';
  if (ml >= cup * 0.9) return counted(toMark(ml / cup, 8), 'cup');
  if (ml >= 4.5 * tablespoon) return counted(toMark(ml / tablespoon, 2), 'tablespoon');

  const quarterTeaspoons = Math.max(1, Math.round((4 * ml) / teaspoon));
  const perTablespoon = Math.round((4 * tablespoon) / teaspoon);
  const tablespoons = Math.floor(quarterTeaspoons / perTablespoon);
  const teaspoons = (quarterTeaspoons % perTablespoon) / 4;
  const parts = [
    tablespoons && counted(tablespoons, 'tablespoon'),
    teaspoons && counted(teaspoons, 'teaspoon'),
  ].filter(Boolean);
  return parts.join(' and ');
}
