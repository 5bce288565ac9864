import type { Change } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { isFlour } from '../formula/base.ts';
import { convertYeast, massPerWork, type YeastWork } from '../ingredient/yeast.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import type { Paces } from './rise-doubt.ts';
import { starterShare } from './starter-share.ts';
import { usualRise, type RiseModel } from './rise.ts';
import { leavenForRise, type Rise } from './rises.ts';

/** What a time takes of a formula's own leaven. */
export type LeavenChange =
  | {
      readonly ingredient: string;
      readonly name: string;
      readonly now: number;
      /** Grams for that time, with the ends of its 80 % interval. */
      readonly grams: number;
      readonly low: number;
      readonly high: number;
      /** Takes the formula there; a starter's flour and water come out of the dough's. None where it has not so much. */
      readonly changes: readonly Change[];
    }
  | {
      readonly why: 'too-soon' | 'too-late' | 'never' | 'no-leaven';
      readonly hours?: number;
      readonly grams?: number;
    };

const tenth = (grams: number): number =>
  grams < 2 ? Math.round(grams * 100) / 100 : Math.round(grams * 10) / 10;

/**
 * How much of its own leaven a formula takes to have its first rise in so many hours.
 *
 * @param rise the first of {@link risesOf} those lines
 * @param hours above 0
 * @example leavenChange(lines, rise, 4) // {grams: 1.2, now: 5, …}
 */
export function leavenChange(
  lines: readonly ResolvedLine[],
  rise: Pick<Rise, 'dough' | 'end'>,
  hours: number,
  paces: Paces = {},
  work: YeastWork = massPerWork,
  model: RiseModel = usualRise,
): LeavenChange {
  const flour = sumGrams(lines.filter(isFlour));
  const line = lines
    .filter((l) => l.of.yeast && l.grams > 0 && l.stageKind !== 'preferment')
    .sort((a, b) => b.grams - a.grams)[0];
  const kind = line?.of.yeast;
  const starter = lines.filter((l) => l.stageKind === 'starter');
  if (line && kind) {
    const own = (percent: number) => convertYeast((percent * flour) / 100, 'instant', kind, work);
    // What a pre-ferment or another yeast brings stays.
    const rest = own(rise.dough.yeast) - line.grams;
    const found = leavenForRise(rise, 'yeast', hours, paces, model);
    if (!found.percent) {
      const { why, nearest } = found;
      return nearest ? { why, hours: nearest.hours, grams: tenth(own(nearest.percent)) } : { why };
    }
    const grams = (percent: number) => tenth(Math.max(0, own(percent) - rest));
    const { middle, low, high } = found.percent;
    return {
      ingredient: line.ingredient,
      name: line.of.name,
      now: line.grams,
      grams: grams(middle),
      low: grams(low),
      high: grams(high),
      changes: [
        { stage: line.stage, ingredient: line.ingredient, grams: grams(middle) - line.grams },
      ],
    };
  }
  if (starter.length === 0) return { why: 'no-leaven' };
  const found = leavenForRise(rise, 'starter', hours, paces, model);
  const flourIn = sumGrams(starter.filter(isFlour));
  const heavy = sumGrams(starter) / (flourIn || 1);
  const own = (percent: number) => Math.round(((percent * flour) / 100) * heavy);
  if (!found.percent) {
    const { why, nearest } = found;
    return nearest ? { why, hours: nearest.hours, grams: own(nearest.percent) } : { why };
  }
  const { middle, low, high } = found.percent;
  const now = sumGrams(starter);
  return {
    ingredient: 'starter',
    name: 'ripe starter',
    now: Math.round(now),
    grams: own(middle),
    low: own(low),
    high: own(high),
    changes: starterShare(lines, own(middle) / now) ?? [],
  };
}
