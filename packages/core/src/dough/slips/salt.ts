import { commonPractice, figure } from '../../quantity/figure.ts';
import { gramsText, percentText } from '../../quantity/number.ts';
import { ingredient } from '../../ingredient/catalogue.ts';
import { makeSlip, type Slip, type SlipContext } from './slip.ts';

/** Salt as a percentage of total flour: lean bread 1.8 to 2.2, home loaves down to .9. */
export const salting = {
  least: figure(0.9, '% of flour', 0.1, commonPractice),
  usualLow: figure(1.8, '% of flour', 0.1, commonPractice),
  usualHigh: figure(2.2, '% of flour', 0.1, commonPractice),
  most: figure(2.5, '% of flour', 0.2, commonPractice),
};

const tenth = (grams: number): number => Math.round(grams * 10) / 10;

/**
 * Salt to bring a formula into what bakers use, where it is outside of what home loaves run to.
 * Less salt is a choice that the baker may make; the slip says so.
 *
 * @example flour 500, no salt: +9 g
 */
export function saltSlip(context: SlipContext): Slip | undefined {
  const { totals, lines, stage } = context;
  const present = totals.saltPercent;
  const line = lines.find((l) => ingredient(l.ingredient).role === 'salt');
  const of = line?.ingredient ?? 'salt';
  const to = (percent: number) => tenth(((percent - present) * totals.flourGrams) / 100);

  if (present < salting.least.value) {
    const grams = to(salting.usualLow.value);
    return makeSlip(context, {
      kind: 'salt',
      reason: `${present === 0 ? 'There is no salt' : `Salt is ${percentText(present)} of the flour`}; ${gramsText(grams)} more makes the usual ${percentText(salting.usualLow.value)}.`,
      basis: commonPractice,
      certainty: 0.9,
      ifLeft:
        'A faster rise, a slacker dough and a flat taste. Low-salt bread is a fair choice too.',
      changes: [{ stage: line?.stage ?? stage, ingredient: of, grams }],
    });
  }
  if (present > salting.most.value && line) {
    const grams = Math.max(to(salting.usualHigh.value), -line.grams);
    return makeSlip(context, {
      kind: 'salt',
      reason: `Salt is ${percentText(present)} of the flour; hold back ${gramsText(-grams)} to come to ${percentText(salting.usualHigh.value)}.`,
      basis: commonPractice,
      certainty: 0.9,
      ifLeft: 'A slow, tight dough and a salty loaf.',
      changes: [{ stage: line.stage, ingredient: of, grams }],
    });
  }
  return undefined;
}
