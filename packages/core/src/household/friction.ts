import { kneadings, type KneadingId } from '../machine/kneading.ts';

/** Warmth that a household's own mixing puts into a dough, °C, by the way of working. */
export type Frictions = Readonly<Partial<Record<KneadingId, number>>>;

/** No mixing cools a dough by so much, or warms it more: beyond it a thermometer was misread. */
export const frictionSpan = [-3, 20] as const;
/** What was measured last counts for so much of what is believed. Own choice, no source. */
const newest = 0.5;

/**
 * Warmth that a way of working puts into a dough: as it was measured here, else as is customary.
 *
 * @example frictionOf('mixer', {friction: {mixer: 6}}) // 6
 */
export const frictionOf = (
  by: KneadingId,
  { friction }: { readonly friction: Frictions },
): number => friction[by] ?? kneadings[by].rise.value;

/**
 * One more measurement, with those before it.
 *
 * @example withFriction({mixer: 4}, 'mixer', 6).mixer // 5
 */
export const withFriction = (of: Frictions, by: KneadingId, measured: number): Frictions => ({
  ...of,
  [by]:
    Math.round(10 * (of[by] === undefined ? measured : of[by] + newest * (measured - of[by]))) / 10,
});
