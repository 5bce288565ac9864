import type { Window } from '../style/style.ts';
import { baseOf, partOfBase } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { cataloguePantry, type Pantry } from '../ingredient/pantry.ts';
import { gramsByVolume } from '../ingredient/measure-weight.ts';
import { commonPractice, figure } from '../figure/figure.ts';
import { gramsText } from '../quantity/number.ts';
import type { Measures } from '../quantity/measures.ts';
import { inSpoons } from '../correct/correction.ts';
import { stateAt } from '../dough/state.ts';
import { thickenerOf, thickeningGrams } from '../dough/thickener.ts';
import { outside } from '../dough/window.ts';

/** Minutes to let a correction work in before looking again. */
const waitMinutes = figure(3, 'min', 1, commonPractice);
/** Share of a correction to give first to a dough that drinks slowly. */
const firstShare = figure(0.5, 'share', 0.2, commonPractice);

/** What to do with a dough while it can still be saved. */
export interface DoughAdvice {
  readonly action: 'leave' | 'add';
  /** Ingredient to add now, and how much of it. */
  readonly ingredient?: string;
  readonly grams?: number;
  readonly spoons?: string;
  /** All that it seems to want, of which `grams` is the first spoon. */
  readonly totalGrams?: number;
  readonly says: string;
}

/**
 * The spoon-sized correction for a dough as it feels: warm water where it is too tight, flour where
 * it is too loose (fibre or gluten where it stands on those), one tablespoon at a time. Doughs that drink slowly get half of it first, later.
 *
 * @param felt points of the level where the baker put it
 * @param lines the dough as mixed
 * @example felt −7 in a window from −3, 500 g of flour: 15 g of water now, of about 20 in all
 */
export function checkDough(
  felt: number,
  window: Window,
  lines: readonly ResolvedLine[],
  baseGrams: number,
  measures: Measures,
  pantry: Pantry = cataloguePantry,
): DoughAdvice {
  const off = outside(felt, window);
  const state = stateAt(felt);
  if (off === 0) {
    return {
      action: 'leave',
      says: `This is where it should be (${state.id}): leave it.`,
    };
  }
  const base = baseOf(lines);
  const thickener = thickenerOf(lines, base);
  const slow = lines.some((l) => l.of.slow && partOfBase(l, base) > 0 && l.grams > baseGrams / 4);
  const tight = off < 0;
  const of = tight
    ? pantry.ingredient('water')
    : (thickener?.of ?? pantry.ingredient('plain-flour'));
  const { absorption = of.absorption.value, joins = 1 } = thickener ?? {};
  const total = tight
    ? (-off * baseGrams) / 100
    : thickeningGrams(felt, felt - off, baseGrams, { absorption, joins });
  const spoon = gramsByVolume(1, 'tbsp', of, measures) ?? 15;
  const now = Math.max(spoon / 3, Math.min(spoon, total * (slow ? firstShare.value : 1)));
  const grams = Math.round(now);
  const what = tight ? 'warm water' : of.name;
  const spoons = inSpoons(now, of, measures);
  const later = slow
    ? ' Whole grain takes up water for 20 to 30 minutes. Wait, and add half first.'
    : '';
  return {
    action: 'add',
    ingredient: of.id,
    grams,
    spoons,
    totalGrams: total,
    says: `${spoons} of ${what} (${gramsText(grams)}), then wait ${waitMinutes.value} minutes and look again.${total > grams * 1.4 ? ` It seems to want about ${gramsText(total)} in all.` : ''}${later}`,
  };
}
