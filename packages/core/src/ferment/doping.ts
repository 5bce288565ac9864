import type { Taken } from '../formula/formula.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { isFlour } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { convertYeast, massPerWork, type YeastWork } from '../ingredient/yeast.ts';
import type { YeastKind } from '../ingredient/ingredient.ts';
import { leavenFor, type LeavenFor } from './leaven-for.ts';
import { ripeEnd } from './ripe-end.ts';
import type { Paces } from './rise-doubt.ts';
import { usualRise, type RiseModel } from './rise.ts';
import type { Rise } from './rises.ts';

/** Yeast beside a starter, so that the dough keeps a time. */
type Doping =
  | {
      readonly grams: number;
      readonly low: number;
      readonly high: number;
      readonly correction: Omit<Taken, 'id'>;
    }
  | { readonly why: Exclude<LeavenFor, { percent: object }>['why']; readonly hours?: number };

/** Less than this would be no help, % instant. Own choice, no source. */
const least = 0.02;

/**
 * How much commercial yeast beside its starter has a sourdough ready in so many hours. It is then a dough that
 * yeast raises: it may double, keeps its time, and tastes milder.
 *
 * @param rise the first of the dough as it stands, its starter in it
 * @param yeast of the household, its ingredient and kind
 * @example dopingFor(lines, rise, 3, {ingredient: 'instant-yeast', kind: 'instant', stage: 's1'}) // {grams: 1.5, …}
 */
export function dopingFor(
  lines: readonly ResolvedLine[],
  { dough }: Pick<Rise, 'dough'>,
  hours: number,
  yeast: { readonly ingredient: string; readonly kind: YeastKind; readonly stage: string },
  paces: Paces = {},
  work: YeastWork = massPerWork,
  model: RiseModel = usualRise,
): Doping {
  const flour = sumGrams(lines.filter(isFlour));
  const end = ripeEnd({ ...dough, yeast: 1 }, model);
  const found = leavenFor(dough, 'yeast', hours, end, paces, model);
  if (!found.percent)
    return { why: found.why, ...(found.nearest ? { hours: found.nearest.hours } : {}) };
  const own = (percent: number): number =>
    Math.round(convertYeast((percent * flour) / 100, 'instant', yeast.kind, work) * 100) / 100;
  const { middle, low, high } = found.percent;
  if (middle < least) return { why: 'too-late', hours };
  const grams = own(middle);
  return {
    grams,
    low: own(low),
    high: own(high),
    correction: {
      correction: `dope:${yeast.ingredient}`,
      reason: 'A little yeast with the starter: surer timing, milder taste',
      basis: 'rise model, calibrated on customary rises',
      changes: [{ stage: yeast.stage, ingredient: yeast.ingredient, grams }],
    },
  };
}
