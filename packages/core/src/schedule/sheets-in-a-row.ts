import { pieceKilograms } from '../ferment/shaped-in.ts';
import { loavesOf } from '../process/shaping.ts';
import { onSheet } from '../style/on-sheet.ts';
import type { Bread } from './bread.ts';

/**
 * How often the oven is filled for a bread: once, or sheet after sheet where it holds not all of them.
 *
 * @example sheetsInARow(twentyFourRolls) // 2
 */
export function sheetsInARow({
  formula,
  lines,
  shaping,
  oven,
}: Pick<Bread, 'formula' | 'lines' | 'shaping' | 'oven'>): number {
  const grams = 1000 * pieceKilograms(formula, lines, shaping);
  const sheets = Math.ceil(loavesOf(shaping) / onSheet(shaping.form, grams));
  return Math.max(1, Math.ceil(sheets / (oven?.holds ?? 1)));
}
