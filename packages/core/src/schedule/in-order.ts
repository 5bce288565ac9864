/**
 * Breads as a day comes to them: what is begun first stands first, and one without a step last. List, picture and
 * amounts of a day follow one order so.
 *
 * @param steps of all of them, by their beginnings
 * @example inOrder([{id: 'a'}, {id: 'b'}], [{bake: 'b', start: '2026-11-26T08:00:00Z'}]) // [{id: 'b'}, {id: 'a'}]
 */
export function inOrder<B extends { readonly id: string }>(
  bakes: readonly B[],
  steps: ReadonlyArray<{ readonly bake: string; readonly start: string }>,
): B[] {
  const begins = (of: B): number =>
    Math.min(...steps.flatMap((s) => (s.bake === of.id ? [Date.parse(s.start)] : [])));
  // Two without a step are alike: the difference of two infinities is no number.
  return [...bakes].sort((a, b) => begins(a) - begins(b) || 0);
}
