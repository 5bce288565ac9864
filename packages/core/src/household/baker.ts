/** Somebody of the household who bakes: hands differ, and so do the cups that they fill. */
export interface Baker {
  readonly id: string;
  readonly name: string;
  /** How three doughs of flour and water felt to this hand; see learn/touch-task.ts. */
  readonly felt?: TriedHand;
}

/** What a hand said of three doughs. */
export interface TriedHand {
  /** Id of the flour that they were made of. */
  readonly flour: string;
  /** ISO date. */
  readonly on: string;
  /** Points of the level where each was put, the stiffest first. */
  readonly points: readonly [number, number, number];
}

/** Id of who bakes where nobody is named; the first bakes of a book are that one's. */
export const usualBaker = 'usual';

/**
 * A household with one of its bakers at the bowl; as it was where nobody is named.
 *
 * @example withBaker(defaultHousehold, 'usual').baker // 'usual'
 */
export const withBaker = <H extends object>(
  household: H,
  baker: string | undefined,
): H & { readonly baker?: string } => (baker === undefined ? household : { ...household, baker });

/**
 * What a baker is called; one who is gone from the household has no name any more.
 *
 * @example bakerName('usual', {bakers: []}) // undefined
 */
export const bakerName = (
  id: string,
  { bakers }: { readonly bakers: readonly Baker[] },
): string | undefined => bakers.find((b) => b.id === id)?.name;

/** A household has so many names. Own choice, no source. */
export const mostBakers = 12;
