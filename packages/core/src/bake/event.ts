/**
 * What happens in a bake. Every event has an id made where it happened: sent twice, it counts once;
 * two tablets merge.
 */
export type BakeEvent =
  | Event<'weighed', { readonly item: string; readonly grams: number; readonly byScale: boolean }>
  | Event<'unweighed', { readonly item: string }>
  | Event<'added', { readonly ingredient: string; readonly grams: number }>
  | Event<'felt', Felt>
  | Event<'retracted', { readonly event: string }>
  | Event<'outcome', Outcome>
  | Event<'finished', Record<string, never>>
  | Event<'abandoned', Record<string, never>>;

export const bakeEventKinds = [
  'weighed',
  'unweighed',
  'added',
  'felt',
  'retracted',
  'outcome',
  'finished',
  'abandoned',
] as const satisfies readonly BakeEvent['kind'][];

interface Event<Kind extends string, Data> {
  readonly id: string;
  /** ISO 8601, UTC. */
  readonly at: string;
  readonly kind: Kind;
  readonly data: Data;
}

/** How the dough feels: `rested` false where it had no time yet to drink. */
export interface Felt {
  readonly points: number;
  readonly rested?: boolean;
}

/** How it came out, in the baker's own judgement. */
export interface Outcome {
  /** 1 to 5. */
  readonly stars: number;
  readonly words: readonly OutcomeWord[];
  readonly note: string;
}

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
