import type { Bag } from './bag.ts';

/** Something taken from a bag. */
export interface TakenOut {
  readonly grams: number;
  /** ISO 8601, UTC. */
  readonly at: string;
}

/**
 * Grams that a bag has left: what was in it when that was last said, less what bakes took since.
 *
 * @returns undefined where nobody said; never below nothing
 * @example bagLeft({left: {grams: 1000, at: '2026-11-01T08:00:00Z'}}, [{grams: 400, at: '2026-11-02T08:00:00Z'}]) // 600
 */
export function bagLeft(
  { left }: Pick<Bag, 'left'>,
  taken: readonly TakenOut[],
): number | undefined {
  if (!left) return undefined;
  const since = Date.parse(left.at);
  const gone = taken.reduce((sum, t) => (Date.parse(t.at) > since ? sum + t.grams : sum), 0);
  return Math.max(0, left.grams - gone);
}
