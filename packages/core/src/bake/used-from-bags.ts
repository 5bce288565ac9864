import type { Formula } from '../formula/formula.ts';
import type { Pantry } from '../ingredient/pantry.ts';
import { mixedLines } from './mixed.ts';
import type { BakeState } from './state.ts';

/**
 * Grams that a bake took out of each bag: as weighed, with what was spooned in at the check.
 *
 * @example usedFromBags(formulaOfBlueBag, bakeState(events), pantry).get('blue') // 450
 */
export function usedFromBags(
  formula: Formula,
  state: BakeState,
  pantry: Pantry,
): ReadonlyMap<string, number> {
  const used = new Map<string, number>();
  for (const { of, grams } of mixedLines(formula, state, pantry)) {
    const bag = of.bag?.id;
    if (bag !== undefined && grams > 0) used.set(bag, (used.get(bag) ?? 0) + grams);
  }
  return used;
}
