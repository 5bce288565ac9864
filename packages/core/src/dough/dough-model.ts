import { baseOf, type Base } from '../formula/base.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { departure, fillKeyBy, fillKeyOf, softeningKey } from '../belief/belief.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { fatPercent, fatSoftens } from './fat-softening.ts';
import { linearForm, type LinearForm } from './linear-form.ts';
import { filledByHabit } from './parameter.ts';

/** A dough as the model sees it. */
export interface DoughModel {
  /** One for each line, in their order. */
  readonly forms: readonly LinearForm[];
  readonly base: Base;
  /** Grams of water that a gram of sugar or fat stands for, as believed. */
  readonly softening: number;
  /** Fat that softens, % of the base. */
  readonly fatPercent: number;
}

/** The lines with what the person's habit of filling makes of them. */
function asFilled(lines: readonly ResolvedLine[], kitchen: Kitchen): readonly ResolvedLine[] {
  const { belief, baker, coefficients } = kitchen;
  const habit =
    departure(belief, fillKeyBy(baker)) +
    coefficients.fillHabit.value +
    coefficients.fillByFlour.value;
  return lines.map((l) => {
    if (!filledByHabit(l, kitchen)) return l;
    const filled = habit + departure(belief, fillKeyOf(l.ingredient));
    return filled === 0 ? l : { ...l, grams: l.grams * (1 + filled) };
  });
}

/**
 * A dough as it is believed to be in this kitchen: each line's linear form, its base, its softening.
 *
 * @param at base to see it on, where that is another than its own: the goal's programme holds it
 */
export function doughModel(
  given: readonly ResolvedLine[],
  kitchen: Kitchen,
  at?: Base,
): DoughModel {
  const lines = asFilled(given, kitchen);
  const base = at ?? baseOf(lines);
  const fat = fatPercent(lines, base.grams);
  const softens = fatSoftens(fat);
  return {
    forms: lines.map((line) => linearForm(line, base, kitchen, softens)),
    base,
    fatPercent: fat,
    softening: kitchen.coefficients.softening.value + departure(kitchen.belief, softeningKey),
  };
}
