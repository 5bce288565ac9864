import type { Formula } from '../formula/formula.ts';
import { kindOfBag, type Bag } from '../ingredient/bag.ts';

/**
 * The jar that a starter of a formula is fed in: the one that it names, else the household's only one.
 *
 * @param stage of the starter
 * @returns undefined where the household keeps none, or several of which none is named
 * @example jarOf(sourdough, 's1', [{id: 'rye', kind: 'starter', name: 'The rye one', ingredient: 'rye-whole'}])?.id // 'rye'
 */
export function jarOf(formula: Formula, stage: string, bags: readonly Bag[]): Bag | undefined {
  const kept = bags.filter((b) => kindOfBag(b) === 'starter');
  const named = formula.stages.find((s) => s.id === stage)?.bag;
  if (named !== undefined) return kept.find((b) => b.id === named);
  const inUse = kept.filter((b) => !b.finished);
  return inUse.length === 1 ? inUse[0] : undefined;
}
