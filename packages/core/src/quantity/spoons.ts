import { kitchenFraction, toKitchenMark } from './fraction.ts';
import {
  cupMillilitres,
  tablespoonMillilitres,
  teaspoonMillilitres,
  type Measures,
} from './measures.ts';

/** Names of the measures: in full for a sentence, short for a table. */
export type SpoonNames = 'full' | 'short';

const names = {
  full: { cup: 'cup', tablespoon: 'tablespoon', teaspoon: 'teaspoon', plural: 's', and: ' and ' },
  short: { cup: 'cup', tablespoon: 'tbsp', teaspoon: 'tsp', plural: '', and: ' + ' },
} as const;

/** Below a cup, a cup's mark is taken where it is this near; else spoons are nearer. */
const cupRounding = 0.04;

/** Rounds to the marks that a measure has. */
const toMark = (count: number, marks: number): number => Math.round(count * marks) / marks;

/**
 * A volume in the household's spoons and cups, in words, to the nearest mark that there is.
 *
 * @param ml 0 or more
 * @example spoonsInWords(15, defaultMeasures) // '1 tablespoon'
 * @example spoonsInWords(19, defaultMeasures) // '1 tablespoon and ¾ teaspoon'
 */
export function spoonsInWords(ml: number, measures: Measures, as: SpoonNames = 'full'): string {
  const say = names[as];
  const counted = (count: number, of: 'cup' | 'tablespoon' | 'teaspoon'): string => {
    const plural = count > 1 ? (of === 'cup' ? 's' : say.plural) : '';
    return `${kitchenFraction(count)} ${say[of]}${plural}`;
  };
  const teaspoon = teaspoonMillilitres[measures.tablespoon];
  const tablespoon = tablespoonMillilitres[measures.tablespoon];
  const cup = cupMillilitres[measures.cup];
  if (ml < teaspoon / 16) return 'less than a pinch';
  if (ml < teaspoon / 6) return 'a pinch';
  const cups = ml / cup;
  const inCups = Math.abs(toKitchenMark(cups) / cups - 1) < cupRounding;
  if (cups >= 0.9 || (cups >= 0.24 && inCups)) return counted(toKitchenMark(cups), 'cup');
  if (ml >= 4.5 * tablespoon) return counted(toMark(ml / tablespoon, 2), 'tablespoon');

  const quarterTeaspoons = Math.max(1, Math.round((4 * ml) / teaspoon));
  const perTablespoon = Math.round((4 * tablespoon) / teaspoon);
  const tablespoons = Math.floor(quarterTeaspoons / perTablespoon);
  const teaspoons = (quarterTeaspoons % perTablespoon) / 4;
  const parts = [
    tablespoons && counted(tablespoons, 'tablespoon'),
    teaspoons && counted(teaspoons, 'teaspoon'),
  ].filter(Boolean);
  return parts.join(say.and);
}
