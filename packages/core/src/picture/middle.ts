/**
 * The middle one of several, the upper of two; undefined where there is none.
 *
 * @example middle([3, 1, 2]) // 2
 */
export const middle = (of: readonly number[]): number | undefined =>
  [...of].sort((a, b) => a - b)[Math.floor(of.length / 2)];
