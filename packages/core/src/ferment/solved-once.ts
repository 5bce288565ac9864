import type { RiseModel } from './rise.ts';

/** So many results are kept for each model: a page needs a dozen, a book that is learned some thousands. Own choice. */
export const mostKept = 6000;

const kept = new WeakMap<RiseModel, Map<string, unknown>>();

/**
 * What is worked out of the rise model for the same case is worked out once: the same dough is asked for by every
 * keystroke, by every page of the book and by every bake of it that is learned again.
 *
 * @param key of the case, whole: what is not in it makes no difference
 * @param solve works it out; what it gives is never changed afterwards
 * @example solvedOnce(usualRise, 'a', () => 1) // 1; asked again with 'a', still 1
 */
export function solvedOnce<T>(model: RiseModel, key: string, solve: () => T): T {
  const known = kept.get(model) ?? new Map<string, unknown>();
  kept.set(model, known);
  if (known.has(key)) return known.get(key) as T;
  const solved = solve();
  // The oldest goes: a map remembers in which order things came.
  if (known.size >= mostKept) known.delete(known.keys().next().value!);
  known.set(key, solved);
  return solved;
}
