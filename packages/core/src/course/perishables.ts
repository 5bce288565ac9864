import type { ResolvedLine } from '../formula/resolve.ts';

/** Milk, egg and the like of a dough, that no delay timer may wait with. */
export const perishables = (lines: readonly ResolvedLine[]): ResolvedLine[] =>
  lines.filter((l) => l.of.perishable === true && l.grams > 0);
