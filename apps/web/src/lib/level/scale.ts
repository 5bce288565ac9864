import { scaleLinear } from 'd3-scale';

/** The stretch of the level that is drawn; what lies beyond stands at the end. */
export const drawn: readonly [number, number] = [-16, 18];

/** Place of a level along the vial, in per cent of its length. */
export const place = scaleLinear().domain(drawn).range([0, 100]).clamp(true);

/** The level at a place, to a quarter of a point: for a touch on the vial. */
export const pointsAt = (share: number): number =>
  Math.round(place.invert(100 * Math.min(1, Math.max(0, share))) * 4) / 4;

/** Left end and length of a stretch, in per cent. */
export function stretch(low: number, high: number): { left: number; width: number } {
  const left = place(low);
  return { left, width: place(high) - left };
}
