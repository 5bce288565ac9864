import type { ResolvedLine } from '../formula/resolve.ts';
import { partOfBase } from '../formula/base.ts';
import { type Totals } from '../formula/totals.ts';
import type { Refusal } from '../quantity/refusal.ts';
import type { UnreadLine } from '../formula/beside.ts';
import type { Level } from './level.ts';
import { pastTouchDoubt } from './past-touch.ts';
import { stateAt } from './state.ts';

/** Why no level can be told: said instead of a number that would be wrong. */
export type CannotTell = Refusal<
  'no-flour' | 'gluten-only' | 'hardly-any-flour' | 'beyond' | 'unread' | 'unsure'
>;

/** Least share of flour in a dough; below it the model has nothing to stand on. Own estimate, no source. */
const leastFlour = 0.12;
/** Points beyond which the account is no dough's: a paste or a soup. Own estimate, no source. */
const furthest = 60;

export const noFlour: CannotTell = {
  code: 'no-flour',
  says: 'There is no flour in it yet: add one, with its grams.',
};

/** A row that was not read, and weighs more than this beside the flour, may decide. Handbook, common practice. */
const unreadMost = 0.02;
/** Standard deviation of a level, points, above which it says nothing. Handbook, common practice. */
const unsureAbove = 10;
/** What a row without an amount may speak of without being missed in the water. */
const harmless =
  /\b(?:salt|pepper|spices?|herbs?|seasoning|vanilla|zest|cinnamon|cardamom|nutmeg|caraway|fennel|anise|cumin|rosemary|thyme|oregano|saffron|extract)\b/i;

const mayDecide = ({ text, grams }: UnreadLine, { flourGrams }: Totals): boolean =>
  grams === undefined ? !harmless.test(text) : grams > unreadMost * flourGrams;

/** From what to what a dough may come out, where that is not one word. */
const between = (low: string, high: string): string =>
  low === high ? '' : `: this dough could be anything from ${low} to ${high}`;

/** What would make an unsure level surer, by what its largest doubt is of. */
function whatToDo({ doubts }: Level, lines: readonly ResolvedLine[]): string {
  const [worst] = doubts;
  const name = lines.find((l) => l.ingredient === worst?.ingredient)?.of.name;
  if (worst?.kind === 'measuring' && name) return `Weigh the ${name} first.`;
  if (worst?.kind === 'habit' || worst?.kind === 'habitOf')
    return 'Weigh the flour, or weigh your cup of it in the Pantry.';
  if (worst?.kind === 'absorption' && name) {
    return `We hardly know how much water ${name} takes. Mix it, add the water by the spoon, and say how it felt.`;
  }
  return 'Mix it, add the water by the spoon, and say how it felt.';
}

/**
 * Why the level of a formula cannot be told; undefined where it can. A dough that is merely dry can be:
 * it is dry.
 *
 * @param unread rows of the recipe that were not read: one that may be flour or water decides
 *
 * @example cannotTell(linesOfGlutenAndWater, totals, level)?.code // 'gluten-only'
 */
export function cannotTell(
  lines: readonly ResolvedLine[],
  totals: Totals,
  level: Level,
  unread: readonly UnreadLine[] = [],
): CannotTell | undefined {
  const { points, sd, low, high } = level;
  const open = unread.find((row) => mayDecide(row, totals));
  if (open) {
    return {
      code: 'unread',
      says: `“${open.text.slice(0, 80)}” was not read and may matter a lot: say what it is.`,
    };
  }
  const base = lines.filter((l) => l.grams > 0 && partOfBase(l, totals) > 0);
  if (totals.dryBase && base.every((l) => l.of.role === 'gluten')) {
    return {
      code: 'gluten-only',
      says: 'Gluten alone makes rubber, not dough: add a meal, a fibre or a flour.',
    };
  }
  if (totals.flourGrams < leastFlour * totals.doughGrams) {
    return {
      code: 'hardly-any-flour',
      says: 'There is hardly any flour: check the amounts.',
    };
  }
  if (points > furthest) {
    return {
      code: 'beyond',
      says: 'More liquid than the flour can hold: this is a batter. Check the amounts.',
    };
  }
  // That nobody feels how wet it is, is no reason to tell nothing.
  if (Math.sqrt(sd ** 2 - pastTouchDoubt(points) ** 2) > unsureAbove) {
    return {
      code: 'unsure',
      says: `The amounts are too uncertain to tell${between(stateAt(low).short, stateAt(high).short)}. ${whatToDo(level, lines)}`,
    };
  }
  return undefined;
}
