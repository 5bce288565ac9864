import { styles } from '../style/style.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { layLines } from './resolve.ts';
import type { Formula } from './formula.ts';

/**
 * What a formula is found by besides its name: its style, what is in it, its notes; lower case.
 *
 * @example formulaWords(formula).includes('bread flour') // true
 */
export function formulaWords(formula: Formula, pantry: Pantry = cataloguePantry): string {
  const ids = new Set(layLines(formula).map((l) => l.ingredient));
  const names = [...ids].map((id) => (pantry.has(id) ? pantry.ingredient(id).name : id));
  return [styles[formula.style].name, ...names, formula.notes ?? ''].join(' · ').toLowerCase();
}
