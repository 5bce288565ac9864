import type { Formula } from '../formula/formula.ts';
import { commonPractice, figure } from '../figure/figure.ts';

/** Slices of a two-pound loaf where nobody has said: 14 to 18. */
const usualSlices = figure(16, 'slices', 2, commonPractice);

/** Length of a loaf in a household tin, mm. */
export const usualLength = figure(210, 'mm', 30, commonPractice);

/** A slice thinner than this flops. */
export const thinnestSlice = figure(9, 'mm', 2, commonPractice);

/**
 * Slices of a loaf of a length at a thickness: whole ones, the heels counted.
 *
 * @param length and thickness in mm, above 0
 * @throws RangeError for a length or thickness that is not above 0
 * @example slicesFor(210, 13) // 16
 */
export function slicesFor(length: number, thickness: number): number {
  if (!(length > 0 && thickness > 0)) throw new RangeError('length and thickness are above 0');
  return Math.max(1, Math.floor(length / thickness + 1e-9));
}

/** Thickness of the slices of a loaf, mm; the inverse of {@link slicesFor}. */
export const thicknessOf = (length: number, slices: number): number => length / slices;

/** What a bread is shared out in. */
export interface Portions {
  readonly count: number;
  readonly word: 'slice' | 'piece';
  /** The baker has not said; the usual is taken. */
  readonly assumed: boolean;
}

/** The portions of a formula: its slices, or its pieces, or the usual. */
export function portionsOf({ slices, pieces }: Formula): Portions {
  if (slices) return { count: slices, word: 'slice', assumed: false };
  if (pieces) return { count: pieces, word: 'piece', assumed: false };
  return { count: usualSlices.value, word: 'slice', assumed: true };
}
