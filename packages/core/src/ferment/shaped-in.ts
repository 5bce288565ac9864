import type { Formula } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { loavesOf, usualShaping, type Shaping } from '../process/shaping.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { styles } from '../style/style.ts';
import type { VesselId } from './vessel.ts';

/** Pieces lighter than this stand on a tray, kilograms. Common practice, no source. */
const trayPiece = 0.2;

/**
 * Dough of one piece, kilograms.
 *
 * @param shaping into what it was divided; the usual of its kind where nobody said
 * @example pieceKilograms(formula, lines) // 1.008
 */
export const pieceKilograms = (
  formula: Formula,
  lines: readonly Pick<ResolvedLine, 'grams'>[],
  shaping: Shaping = usualShaping(formula),
): number => sumGrams(lines) / 1000 / loavesOf(shaping);

/**
 * What the shaped pieces of a bread stand in, as far as their rise is concerned.
 *
 * @example shapedIn({...formula, style: 'hearth-white'}, lines) // 'basket'
 */
export const shapedIn = (
  formula: Formula,
  lines: readonly ResolvedLine[],
  shaping?: Shaping,
): VesselId =>
  pieceKilograms(formula, lines, shaping) < trayPiece
    ? 'rolls'
    : styles[formula.style].stands === 'pot'
      ? 'basket'
      : 'tin';
