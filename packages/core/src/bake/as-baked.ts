import type { Formula } from '../formula/formula.ts';
import { scaleBy } from '../formula/scale.ts';
import { takeCorrection } from '../formula/take-correction.ts';
import type { BakeState } from './state.ts';

/** Corrections by which a bake departs from its formula are called so, with the event behind it. */
const insteadOf = 'instead:';

/**
 * A formula as a bake makes it: a share of it, with other things in place of what was missing.
 *
 * @returns the formula itself where it is made as it stands
 * @example asBaked(formula, {batch: 0.5, instead: []}) // half of everything, held lines too
 */
export function asBaked(
  formula: Formula,
  { batch = 1, instead }: Pick<BakeState, 'batch' | 'instead'>,
): Formula {
  const stages = new Set(formula.stages.map((s) => s.id));
  const scaled = batch === 1 ? formula : scaleBy(formula, batch, () => false);
  return instead.reduce((made, { event, says, changes }) => {
    const known = changes.filter((c) => stages.has(c.stage));
    return known.length === 0
      ? made
      : takeCorrection(made, {
          correction: `${insteadOf}${event}`,
          reason: says,
          basis: '',
          changes: known,
        });
  }, scaled);
}
