import { sumGrams } from '../quantity/sum-grams.ts';
import { mainStage, stagesOf, type Formula } from '../formula/formula.ts';
import { resolve, withStuff, type ResolvedLine } from '../formula/resolve.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { asBaked } from './as-baked.ts';
import type { BakeState } from './state.ts';

/**
 * The dough as it was really made: what the scale said instead of what the formula said, and what
 * was added at the dough check.
 *
 * @param planned lines of the formula, where they are known already
 * @returns those very lines where nothing was weighed otherwise, and nothing added
 * @example mixedLines(formula, bakeState(events))
 */
export function mixedLines(
  formula: Formula,
  state: BakeState,
  pantry: Pantry = cataloguePantry,
  planned: readonly ResolvedLine[] = resolve(formula, pantry),
): readonly ResolvedLine[] {
  const made = asBaked(formula, state);
  const lines = made === formula ? planned : resolve(made, pantry);
  const starters = new Map(
    stagesOf(formula)
      .filter((s) => s.kind === 'starter')
      .map((s) => [s.id, sumGrams(lines.filter((l) => l.stage === s.id))]),
  );
  const weighed = lines.map((line): ResolvedLine => {
    const own = state.weighed.get(line.id);
    if (own) return { ...line, grams: own.grams, ...(own.byScale ? { measured: 'scale' } : {}) };
    const whole = state.weighed.get(`stage:${line.stage}`);
    const planned = starters.get(line.stage) ?? 0;
    if (!whole || !(planned > 0)) return line;
    return {
      ...line,
      grams: (line.grams * whole.grams) / planned,
      ...(whole.byScale ? { measured: 'scale' } : {}),
    };
  });
  const main = mainStage(formula);
  const added = state.added.map((a) =>
    withStuff(
      {
        id: `added:${a.event}`,
        ingredient: a.ingredient,
        bag: lines.find((l) => l.ingredient === a.ingredient)?.bag,
        grams: a.grams,
        measured: 'volume',
        stage: main.id,
        stageKind: main.kind,
        state: undefined,
        typedGrams: 0,
        corrections: [],
      },
      pantry,
    ),
  );
  const mixed = [...weighed, ...added];
  const asPlanned =
    mixed.length === planned.length && mixed.every((line, i) => line === planned[i]);
  return asPlanned ? planned : mixed;
}
