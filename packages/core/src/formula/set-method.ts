import { editLine } from './edit.ts';
import type { Formula, MeasuringMethod } from './formula.ts';
import { methods } from './measuring-method.ts';
import type { ResolvedLine } from './resolve.ts';
import { gramsPerMillilitre } from '../ingredient/measure-weight.ts';
import type { Measures } from '../quantity/measures.ts';

/**
 * Says how a line gets into the bowl. Between two ways of filling a cup the cups stay and the grams
 * change; between a cup and a scale the grams stay.
 *
 * @example setMethod(formula, line, 'dipped', measures) // three cups of flour, now 435 g
 */
export function setMethod(
  formula: Formula,
  line: ResolvedLine,
  method: MeasuringMethod,
  measures: Measures,
): Formula {
  const [from, to] = [methods[line.measured], methods[method]];
  const density = (fill: typeof from.fill) => gramsPerMillilitre(line.of, measures, fill)?.value;
  const [before, after] = [density(from.fill), density(to.fill)];
  const refill = from.by === 'volume' && to.by === 'volume' && before && after && before !== after;
  return editLine(formula, line.id, {
    measured: method,
    spread: undefined,
    ...(refill ? { grams: (line.grams * after) / before } : {}),
  });
}
