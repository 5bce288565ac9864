import type { Figure } from '../figure/figure.ts';

/** A sign that a bread is done, for who has no probe. */
export interface DoneSign {
  readonly id: 'knock' | 'colour' | 'weight';
  readonly says: string;
}

const round5 = (grams: number): number => Math.round(grams / 5) * 5;

/**
 * What tells without a probe that a bread is done: its sound, its colour, and what it has lost on the scale. Each alone is
 * doubtful. Common practice, no source.
 *
 * @param grams raw, of one bread
 * @param loss share that breads of its style lose in the oven, with its spread
 * @example withoutProbe(900, {value: .12, sd: .015})[0].id // 'knock'
 */
export function withoutProbe(
  grams: number,
  { value, sd }: Pick<Figure, 'value' | 'sd'>,
): DoneSign[] {
  const [light, heavy] = [grams * (1 - value - sd), grams * (1 - value + sd)].map(round5) as [
    number,
    number,
  ];
  return [
    {
      id: 'knock',
      says: 'Knock on the bottom. Hollow: done. Dull: five minutes more.',
    },
    {
      id: 'colour',
      says: 'Brown at the sides as well as on top. Sugar and milk brown early, so do not trust colour alone.',
    },
    {
      id: 'weight',
      says: `On the scale it weighs ${light} to ${heavy} g, from ${Math.round(grams)} g of dough. If heavier, bake on.`,
    },
  ];
}
