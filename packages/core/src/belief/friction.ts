import { figure } from '../figure/figure.ts';
import type { KneadingId } from '../machine/kneading.ts';
import { normalAfter } from '../quantity/normal.ts';
import type { Frictions } from '../household/frictions.ts';
import type { Belief, KnownMeasure } from './belief.ts';
import { measuredOf } from './measured.ts';

/** No mixing cools a dough by so much, or warms it more: beyond it a thermometer was misread. */
export const frictionSpan = [-3, 20] as const;
/** What was measured last counts for so much of what was measured by hand. Own choice, no source. */
const newest = 0.5;
/** How far what was measured by hand may be from what mixing usually does here. */
const byHand = figure(1, '°C', 0.5, 'own estimate, no source');

/**
 * Warmth that a way of working puts into a dough: the customary, moved by what bakes noted of their water and dough,
 * and by what was measured by hand beside them.
 *
 * @example frictionOf('mixer', {friction: {}}, nothingLearned).mean // 4: as is customary
 */
export function frictionOf(
  by: KneadingId,
  { friction }: { readonly friction: Frictions },
  belief: Belief,
): KnownMeasure {
  const known = measuredOf(belief, 'friction', { by });
  const measured = friction[by];
  return measured === undefined
    ? known
    : { ...normalAfter(known, measured, byHand.value), bakes: known.bakes };
}

/**
 * One more measurement by hand, with those before it.
 *
 * @example withFriction({mixer: 4}, 'mixer', 6).mixer // 5
 */
export const withFriction = (of: Frictions, by: KneadingId, measured: number): Frictions => ({
  ...of,
  [by]:
    Math.round(10 * (of[by] === undefined ? measured : of[by] + newest * (measured - of[by]))) / 10,
});
