import type { ResolvedLine } from '../formula/resolve.ts';
import { isFlour } from '../formula/base.ts';
import { type Totals } from '../formula/totals.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Change } from '../formula/formula.ts';
import { pearsonSquare } from '../dough/strength.ts';

/** Part of a flour given over to a stronger one, so that the blend comes to a protein. */
export interface Blend {
  readonly weaker: Ingredient;
  readonly stronger: Ingredient;
  /** Grams that change places. */
  readonly grams: number;
  readonly changes: readonly Change[];
}

/**
 * A blend that reaches a protein without gluten: as much of the largest weaker flour as a Pearson square
 * says gives way to a stronger one.
 *
 * @param aim g per 100 g of all flour and gluten
 * @returns undefined where no flour here is strong enough, or none need give way
 * @example blendTo(13, lines, totals, [strongFlour])?.grams
 */
export function blendTo(
  aim: number,
  lines: readonly ResolvedLine[],
  totals: Totals,
  stronger: readonly Ingredient[],
): Blend | undefined {
  const flours = lines.filter((l) => isFlour(l) && l.stageKind === 'dough' && l.grams > 0);
  const weakest = [...flours].sort((a, b) => b.grams - a.grams)[0];
  if (!weakest || totals.dryBase || aim <= totals.proteinPercent) return undefined;
  const strong = stronger
    .filter((i) => i.strength === 'strong' && i.id !== weakest.ingredient)
    .filter((i) => i.composition.protein > weakest.of.composition.protein)
    .sort((a, b) => b.composition.protein - a.composition.protein)[0];
  if (!strong) return undefined;
  // The one flour must lift the whole: its own blend has to reach further than the aim.
  const lift = ((aim - totals.proteinPercent) * strengthMass(lines)) / weakest.grams;
  const square = pearsonSquare(
    weakest.grams,
    weakest.of.composition.protein,
    strong.composition.protein,
    weakest.of.composition.protein + lift,
  );
  if (!square) return undefined;
  const grams = Math.round(square.second);
  return {
    weaker: weakest.of,
    stronger: strong,
    grams,
    changes: [
      { stage: weakest.stage, ingredient: strong.id, grams },
      { stage: weakest.stage, ingredient: weakest.ingredient, grams: -grams },
    ],
  };
}

const strengthMass = (lines: readonly ResolvedLine[]): number =>
  lines.reduce((g, l) => (isFlour(l) || l.of.role === 'gluten' ? g + l.grams : g), 0);
