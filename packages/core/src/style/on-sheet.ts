import { commonPractice, figure } from '../figure/figure.ts';
import type { Form } from './form.ts';

/** What a home oven's sheet has room for, cm². */
const sheet = figure(1500, 'cm²', 250, commonPractice);

/** Room that a piece takes once it is baked, with its share of the gaps: cm² for its raw grams to the power of 2/3; 0 where the oven's width decides, not the sheet. Common practice, no source. */
const spreads: Readonly<Record<Form, number>> = {
  loaf: 0,
  plait: 0,
  rolls: 5,
  balls: 5,
  rings: 6.5,
  sticks: 8,
  flat: 20,
};

/**
 * Pieces of a form that one sheet holds.
 *
 * @param grams of one, raw
 * @returns at least one; Infinity where sheets do not decide
 * @example onSheet('rolls', 90) // 14
 */
export function onSheet(form: Form, grams: number): number {
  const each = spreads[form] * grams ** (2 / 3);
  return each > 0 ? Math.max(1, Math.floor(sheet.value / each)) : Infinity;
}
