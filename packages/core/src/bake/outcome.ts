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

export const outcomeShape = {
  /** 1 to 5. */
  stars: whole(1, 5),
  words: words(outcomeWords),
  note: text(4000),
} as const;

/** How it came out, in the baker's own judgement. */
export type Outcome = DataOf<typeof outcomeShape>;
