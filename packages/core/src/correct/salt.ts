import { saltWord } from '../household/salt-word.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { commonPractice } from '../figure/figure.ts';
import { gramsText } from '../quantity/number.ts';
import type { Change } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { makeCorrection, ofFlour, type Correction, type CorrectionContext } from './correction.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { tenth } from '../quantity/tenth.ts';

/**
 * Salt to bring a formula into what bakers use, where it is outside of what home loaves run to.
 * Less salt is a choice that the baker may make; the correction says so.
 *
 * @example flour 500, no salt: +9 g
 */
export function saltCorrection(context: CorrectionContext): Correction | undefined {
  const { totals, lines, stage, lowSodium, kitchen, formula } = context;
  const { saltUsualHigh } = kitchen.coefficients;
  const present = totals.saltPercent;
  const { usual, least, most } = saltWord(formula.style, kitchen, {
    lowSodium: lowSodium === true,
  });
  const line = lines.find((l) => l.of.role === 'salt');
  const of = line?.ingredient ?? 'salt';
  const to = (percent: number) => tenth(((percent - present) * totals.flourGrams) / 100);

  if (lowSodium) return lessSalt(context, to(usual), line?.stage ?? stage, of);
  if (present < least) {
    const grams = tenth(to(usual) / saltIn(context.pantry.ingredient(of)));
    return makeCorrection(context, {
      kind: 'salt',
      reason: `${present === 0 ? 'There is no salt in it' : `Salt is ${ofFlour(present, context)}`}; ${gramsText(grams)} more makes the usual ${ofFlour(usual, context)}.`,
      basis: commonPractice,
      // Bread without salt is a choice: nobody can see from the sheet whether it was forgotten.
      certainty: present === 0 ? saltMissing : saltLow,
      ifLeft: 'A faster rise, a slacker dough, a flat taste. Low-salt bread is fine too.',
      changes: [{ stage: line?.stage ?? stage, ingredient: of, grams }],
    });
  }
  if (present > most && line) {
    const aim = Math.min(saltUsualHigh.value, most);
    const changes = heldBack(lines, to(aim));
    if (changes.length === 0) return undefined;
    const grams = changes.reduce((sum, c) => sum + c.grams, 0);
    return makeCorrection(context, {
      kind: 'salt',
      reason: `Salt is ${ofFlour(present, context)}; hold back ${gramsText(-grams)} to come to ${ofFlour(aim, context)}.`,
      basis: commonPractice,
      certainty: 0.9,
      ifLeft: 'A slow, tight dough and a salty loaf.',
      changes,
    });
  }
  return undefined;
}

/** Chance that salt which is missing, or little, is missed. Own choices, no source. */
const [saltMissing, saltLow] = [0.6, 0.75];

/** Share of a salt that is salt: those with herbs or iodine are not quite all of it. */
const saltIn = ({ addedSalt = 100 }: Ingredient): number => addedSalt / 100;

/** Salt held back from one line after the other, as far as they reach. */
function heldBack(lines: readonly ResolvedLine[], grams: number): Change[] {
  let rest = grams;
  return lines
    .filter((l) => l.of.role === 'salt' && l.grams > 0)
    .map(({ stage, ingredient, grams: there, of }) => {
      const back = Math.max(tenth(rest / saltIn(of)), -there);
      rest -= back * saltIn(of);
      return { stage, ingredient, grams: back };
    })
    .filter((c) => c.grams < 0);
}

/** In a household that keeps to little salt: down to what still bakes well, and never up. */
function lessSalt(
  context: CorrectionContext,
  grams: number,
  stage: string,
  of: string,
): Correction | undefined {
  const inIt = sumGrams(context.lines.filter((l) => l.stage === stage && l.ingredient === of));
  const back = Math.max(grams, -inIt);
  if (back > -0.5) return undefined;
  const { saltLow: least } = context.kitchen.coefficients;
  const { riseFaster } = saltEffect(back, context);
  return makeCorrection(context, {
    kind: 'salt',
    reason: `You keep to little salt: hold back ${gramsText(-back)} to come to ${ofFlour(least.value, context)}. It rises about ${Math.round(100 * riseFaster)} % faster.`,
    basis: commonPractice,
    certainty: 0.9,
    ifLeft: `It stays at ${ofFlour(context.totals.saltPercent, context)}.`,
    changes: [{ stage, ingredient: of, grams: back }],
  });
}

/**
 * What a change of salt does to the rise. A saltier dough is firmer too, by less than anybody has measured here: the level
 * is told without it.
 *
 * @param grams added, or negative, held back
 * @example saltEffect(-5, …) // at 500 g of flour: riseFaster .09
 */
export function saltEffect(
  grams: number,
  { totals, kitchen }: Pick<CorrectionContext, 'totals' | 'kitchen'>,
): { riseFaster: number } {
  const percent = (-100 * grams) / totals.flourGrams;
  return { riseFaster: kitchen.coefficients.saltBrake.value * percent };
}
