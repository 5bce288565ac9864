import type { Formula } from '../formula/formula.ts';
import { resolve } from '../formula/resolve.ts';
import { takeCorrection } from '../formula/take-correction.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { asBaked } from './as-baked.ts';
import { mixedLines } from './mixed.ts';
import type { BakeState } from './state.ts';

/** Scales show no less than this, grams. Common practice, no source. */
const finest = 0.05;

/**
 * The formula that a bake came to: as it was weighed, with what was spooned in at the bowl, so that somebody else
 * can bake the dough that it was.
 *
 * @returns what was meant, where it was made just so
 * @example asMade(formula, bakeState([{…, kind: 'added', data: {ingredient: 'water', grams: 15}}])).taken.length // 1
 */
export function asMade(
  formula: Formula,
  state: BakeState,
  pantry: Pantry = cataloguePantry,
): Formula {
  const meant = asBaked(formula, state);
  const planned = new Map(resolve(meant, pantry).map((l) => [l.id, l.grams]));
  const changes = mixedLines(formula, state, pantry).flatMap(({ id, stage, ingredient, grams }) => {
    const more = grams - (planned.get(id) ?? 0);
    return Math.abs(more) < finest ? [] : [{ stage, ingredient, grams: more }];
  });
  return changes.length === 0
    ? meant
    : takeCorrection(meant, {
        correction: 'as-made',
        reason: 'as it was weighed, with what went in at the bowl',
        basis: '',
        changes,
      });
}
