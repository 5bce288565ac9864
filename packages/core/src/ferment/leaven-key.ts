import type { Formula } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { LeavenKind } from './leaven-for.ts';

/** What keys of paces begin with. */
export const paceKey = 'pace:';

/** Keys of a dough's leavens: what is learned of one is of its packet or of that starter. */
export type LeavenKeys = Readonly<Partial<Record<LeavenKind, string>>>;

/**
 * The leavens of a dough, by the keys under which their pace is learned: yeast by its bag or its kind, a
 * starter as the household's own of that name, or its only one.
 *
 * @example leavenKeys(linesOfATinLoaf, tinLoaf) // {yeast: 'pace:instant-yeast'}
 */
export function leavenKeys(lines: readonly ResolvedLine[], formula: Formula): LeavenKeys {
  const yeast = lines.filter((l) => l.of.yeast && l.grams > 0).sort((a, b) => b.grams - a.grams)[0];
  const starter = lines.find((l) => l.stageKind === 'starter' && l.grams > 0);
  const bag = starter && formula.stages.find((s) => s.id === starter.stage)?.bag;
  return {
    ...(yeast ? { yeast: `${paceKey}${yeast.bag ? `bag:${yeast.bag}` : yeast.ingredient}` } : {}),
    ...(starter ? { starter: `${paceKey}${bag ? `bag:${bag}` : 'starter'}` } : {}),
  };
}
