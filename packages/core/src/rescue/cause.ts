/** What may have happened, and how likely that is beside the rest. */
export interface Cause {
  readonly id: string;
  readonly says: string;
  /** 0 to 1; together with the others 1. */
  readonly share: number;
}

/** A cause with what it weighs before it is set beside the others. */
export type Weighed = Omit<Cause, 'share'> & { readonly weight: number };

/** How sure a cause is, as bakers say it: from so much of the whole on. Own choice, no source. */
const sureness = [
  [0.7, 'most likely'],
  [0.35, 'likely'],
  [0.15, 'perhaps'],
  [0, 'hardly'],
] as const;

/**
 * How sure a cause is, in a word.
 *
 * @example likelihood(0.5) // 'likely'
 */
export const likelihood = (share: number): string =>
  sureness.find(([from]) => share >= from)?.[1] ?? 'hardly';

/** Causes that are less likely than this are not worth naming. Own choice, no source. */
const leastShare = 0.04;

/**
 * Causes beside each other, the likeliest first; what is hardly likely is left out, and the rest make up the whole.
 *
 * @example ranked([{id: 'a', says: '', weight: 3}, {id: 'b', says: '', weight: 1}])[0].share // .75
 */
export function ranked(causes: readonly Weighed[]): Cause[] {
  const whole = causes.reduce((sum, c) => sum + c.weight, 0);
  if (!(whole > 0)) return [];
  const likely = causes.filter((c) => c.weight / whole >= leastShare);
  const kept = likely.reduce((sum, c) => sum + c.weight, 0);
  return likely
    .map(({ weight, ...cause }) => ({ ...cause, share: weight / kept }))
    .sort((a, b) => b.share - a.share);
}
