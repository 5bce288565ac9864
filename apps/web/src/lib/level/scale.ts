/** The stretch of the level that is drawn; what lies beyond stands at the end. */
export const drawn: readonly [number, number] = [-16, 18];

const [first, last] = drawn;
const within = (share: number): number => Math.min(1, Math.max(0, share));

/** Place of a level along the vial, in per cent of its length. */
export const place = (points: number): number => 100 * within((points - first) / (last - first));

/** The level at a place, to a quarter of a point: for a touch on the vial. */
export const pointsAt = (share: number): number =>
  Math.round((first + (last - first) * within(share)) * 4) / 4;

/** Left end and length of a stretch, in per cent. */
export function stretch(low: number, high: number): { left: number; width: number } {
  const left = place(low);
  return { left, width: place(high) - left };
}
