import type { Appliance } from './appliance.ts';

/** A dough that is more than a mixer takes, in as many mixings as it wants. */
export interface Mixings {
  readonly count: number;
  /** Of everything in each of them. */
  readonly share: number;
  /** Grams of flour in each. */
  readonly flour: number;
}

/** A mixer takes a little more than it says, as a share. Own choice, no source. */
const over = 0.03;

/**
 * In how many mixings a dough goes through a mixer that takes only so much flour.
 *
 * @param flour grams, or of the dry base where there is no flour
 * @returns undefined where one mixing takes it, or nobody told how much that is
 * @example mixingsIn({takes: 800}, 2000)?.count // 3
 */
export function mixingsIn(
  mixer: Pick<Appliance, 'takes'> | undefined,
  flour: number,
): Mixings | undefined {
  const takes = mixer?.takes;
  if (takes === undefined || flour <= takes * (1 + over)) return undefined;
  const count = Math.ceil(flour / (takes * (1 + over)));
  return { count, share: 1 / count, flour: flour / count };
}

/** A mixer takes no less flour, and no more, grams. Own choice, no source. */
export const mixerTakes = [100, 10_000] as const;
