import { text, whole, words, type DataOf } from '../quantity/shape.ts';

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

/** What one star to five mean. */
export const judgements = ['poor', 'so-so', 'fair', 'good', 'as it should be'] as const;

export const outcomeShape = {
  /** Place among {@link judgements}, from 1. */
  stars: whole(1, judgements.length),
  words: words(outcomeWords),
  note: text(4000),
} as const;

/** How it came out, in the baker's own judgement. */
export type Outcome = DataOf<typeof outcomeShape>;
