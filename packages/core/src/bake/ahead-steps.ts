import { mainStage, stagesOf, type Formula } from '../formula/formula.ts';

const kinds = {
  starter: ['feed', 'ripen'],
  preferment: ['preferment', 'ripen'],
  soaker: ['soak'],
  dough: [],
} as const;

/**
 * The steps of what is mixed ahead of a dough, by their names: what is skipped where it is ripe already.
 *
 * @example aheadSteps({...formula, stages: [{id: 's1', kind: 'soaker', name: 'Oats', lines: []}, dough]}) // ['s1:soak']
 */
export function aheadSteps(formula: Formula | undefined): string[] {
  if (!formula) return [];
  const main = mainStage(formula).id;
  return stagesOf(formula)
    .filter((s) => s.id !== main)
    .flatMap((s) => kinds[s.kind].map((kind) => `${s.id}:${kind}`));
}
