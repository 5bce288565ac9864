/** What the pieces of a dough are shaped to. */
export const forms = ['loaf', 'rolls', 'rings', 'balls', 'plait', 'sticks', 'flat'] as const;
export type Form = (typeof forms)[number];

/**
 * Whether a bread of a form is cut into slices all alike: what is high and long, and not what is flat, small or thin.
 *
 * @example isSliced('plait') // true
 * @example isSliced('flat') // false
 */
export const isSliced = (form: Form): boolean => form === 'loaf' || form === 'plait';

/** What a piece of a form usually weighs, raw grams, least and most. Handbook section 12; common practice, no source. */
export const usualPiece: Readonly<Record<Form, readonly [least: number, most: number]>> = {
  loaf: [250, 1200],
  rolls: [60, 105],
  rings: [100, 115],
  balls: [80, 350],
  plait: [80, 300],
  sticks: [250, 350],
  flat: [200, 1200],
};
