import { grams, maybe, number, text, whole, words, type DataOf } from '../quantity/shape.ts';

export const outcomeWords = [
  'just right',
  'dense',
  'open crumb',
  'spread flat',
  'crumbly',
  'gummy',
  'pale',
  'dark',
  'over-proofed',
  'under-proofed',
] as const;
export type OutcomeWord = (typeof outcomeWords)[number];

/** How a crumb looks, each drawn beside its word. */
export const crumbs = [
  'close',
  'even',
  'open',
  'holes above, dense below',
  'dense line',
  'wet',
] as const;
export type Crumb = (typeof crumbs)[number];
export const crustWords = [
  'soft',
  'thin and crisp',
  'thick',
  'split',
  'wrinkled',
  'blistered',
] as const;
export const tastes = [
  'mild',
  'nutty',
  'sour',
  'sweet',
  'yeasty',
  'flat',
  'salty',
  'bitter',
] as const;

/** What one star to five mean. */
export const judgements = ['poor', 'fair', 'OK', 'good', 'excellent'] as const;

export const outcomeShape = {
  /** Place among {@link judgements}, from 1; absent where nobody judged it. */
  stars: maybe(whole(1, judgements.length)),
  words: words(outcomeWords),
  note: text(4000),
  crumb: maybe(words(crumbs)),
  crust: maybe(words(crustWords)),
  taste: maybe(words(tastes)),
  /** Of the loaf, or of one piece, mm. */
  height: maybe(number(1, 1000)),
  /** Into the oven, and out of it and cooled, grams. */
  before: maybe(grams),
  after: maybe(grams),
} as const;

/** How it came out, in the baker's own judgement. */
export type Outcome = DataOf<typeof outcomeShape>;

/** Words that say on which side of its window a dough stood. */
const sides: Readonly<Partial<Record<OutcomeWord, 'tight' | 'loose'>>> = {
  dense: 'tight',
  crumbly: 'tight',
  'spread flat': 'loose',
  gummy: 'loose',
};
/** Words that say that it was its time and not its water. */
const timed: readonly OutcomeWord[] = ['over-proofed', 'under-proofed'];

/**
 * Whether a bread came out as from too tight or too loose a dough; undefined where its words do not say, or say
 * that it stood too long or too short.
 *
 * @example sideOf(['dense']) // 'tight'
 * @example sideOf(['dense', 'under-proofed']) // undefined
 */
export function sideOf(words: readonly OutcomeWord[]): 'tight' | 'loose' | undefined {
  if (words.some((w) => timed.includes(w))) return undefined;
  const said = new Set(words.flatMap((w) => sides[w] ?? []));
  return said.size === 1 ? [...said][0] : undefined;
}

/**
 * What a bread lost in the oven, as a share of its dough.
 *
 * @returns undefined where it was not weighed twice, a weight is no number, or it gained
 * @example bakeLoss({words: [], note: '', before: 800, after: 704}) // .12
 */
export function bakeLoss({ before, after }: Pick<Outcome, 'before' | 'after'>): number | undefined {
  if (!before || after === undefined || !(after <= before)) return undefined;
  return (before - after) / before;
}
