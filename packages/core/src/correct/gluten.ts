import { sumGrams } from '../quantity/sum-grams.ts';
import { gramsText } from '../quantity/number.ts';
import { commonPractice } from '../figure/figure.ts';
import { doughModel } from '../dough/dough-model.ts';
import { ownPoints } from '../dough/own-points.ts';
import { surplusOf } from '../dough/linear-form.ts';
import { bareLine } from '../formula/bare-line.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { glutenToAdd, proteinAim, strengthShares } from '../dough/strength.ts';
import { isFlour } from '../formula/base.ts';
import { normalBelow } from '../quantity/normal.ts';
import { makeCorrection, type Correction, type CorrectionContext } from './correction.ts';

const gluten = 'vital-gluten';

/**
 * Gluten to add where the blend is weaker than its style wants, with the water that the gluten
 * drinks, so that taking the correction leaves the level where it is. Gluten to hold back above 5 %.
 * Never for a dough without cereal flour, nor where soft or gluten-free grains are the most of it:
 * gluten does not cure those.
 *
 * @example plain flour 500, tin loaf: +13 g of gluten and +20 g of water
 */
export function glutenCorrection(context: CorrectionContext): Correction | undefined {
  const { totals, lines, formula, stage, kitchen, pantry } = context;
  const { glutenMost, leastShortfall } = kitchen.coefficients;
  const of = pantry.ingredient(gluten);
  if (totals.dryBase) return undefined;
  const inIt = sumGrams(lines.filter((l) => l.ingredient === gluten));
  const most = (glutenMost.value * totals.flourGrams) / 100;
  const water = (grams: number) => waterWith(grams, of, context);

  if (inIt > most) {
    const back = Math.min(inIt, Math.ceil(inIt - most));
    return makeCorrection(context, {
      kind: 'gluten',
      reason: `Hold back ${gramsText(back)} of the gluten: above ${glutenMost.value} % of the flour a wheat bread turns rubbery.`,
      basis: commonPractice,
      certainty: 0.8,
      ifLeft: 'A rubbery crumb, and a dough that springs back when shaped.',
      changes: [
        { stage, ingredient: gluten, grams: -back },
        { stage, ingredient: 'water', grams: water(-back) },
      ],
    });
  }

  if (strengthShares(lines).strong < 0.5) return undefined;
  const aim = proteinAim(formula.style, totals, kitchen);
  const short = aim - totals.proteinPercent;
  if (short < leastShortfall.value) return undefined;
  const already = totals.flourGrams + inIt;
  const { protein } = of.composition;
  const wanted = glutenToAdd(already, totals.proteinPercent, protein, aim);
  const room = Math.floor(2 * (most - inIt)) / 2;
  const whole = wanted >= 10 ? Math.round(wanted) : Math.floor(wanted * 2) / 2;
  // Not rounded past the most that it takes.
  const rounded = Math.min(whole, room);
  if (rounded < 0.5) return undefined;
  const thumb =
    totals.wholeShare > 0.5 ? ' Household rule beside it: 1 to 2 tablespoons a loaf.' : '';
  return makeCorrection(context, {
    kind: 'gluten',
    reason: `The flours bring ${totals.proteinPercent.toFixed(1)} % protein and this bread wants ${aim.toFixed(1)} %${totals.wholeShare > 0.2 ? ', as bran cuts strands' : ''}: ${gramsText(rounded)} of gluten, with ${gramsText(water(rounded))} of water for it.${thumb}`,
    basis: `${lines.some((l) => isFlour(l) && l.of.bag?.protein !== undefined) ? 'protein on the labels of your bags' : 'protein of the flours (USDA SR Legacy, from memory)'} against the style’s aim (${commonPractice})`,
    // Neither the flours' protein nor what the bread wants is known to the gram.
    certainty: normalBelow(
      short / Math.hypot(proteinSd(context), kitchen.coefficients.proteinAimDoubt.value),
    ),
    ifLeft: 'It rises less and the slices crumble more; longer kneading helps a little.',
    changes: [
      { stage, ingredient: gluten, grams: rounded },
      { stage, ingredient: 'water', grams: water(rounded) },
    ],
  });
}

/**
 * Water that leaves the level where it is beside so much more gluten: what it drinks, and, where the
 * dough comes nearer to a dry base by it, what that makes of all the rest.
 */
function waterWith(
  grams: number,
  of: Ingredient,
  { lines, kitchen, level, window }: CorrectionContext,
): number {
  const { forms, base, softening } = doughModel([...lines, bareLine(of, grams, 'more')], kitchen);
  const surplus = forms.reduce((sum, f) => sum + surplusOf(f, softening) * f.line.grams, 0);
  const exact = ((level.points - ownPoints(kitchen)) * base.grams) / 100 - surplus;
  // To whole grams, and towards the middle of the window: a rounding is no reason for a correction.
  return level.points < (window[0] + window[1]) / 2 ? Math.ceil(exact) : Math.floor(exact);
}

function proteinSd({ lines, totals }: CorrectionContext): number {
  const variance = lines.filter(isFlour).reduce((total, l) => {
    const share = l.grams / totals.flourGrams;
    return total + (share * l.of.composition.proteinSd) ** 2;
  }, 0);
  return Math.sqrt(variance) || 0.7;
}
