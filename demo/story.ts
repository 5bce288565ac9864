/**
 * What happened in this household in the nine months, beside the weather: what a book that is worth its paper has
 * to find. All of it invented.
 */
export interface Chapter {
  readonly bread: string;
  /** Share of the nine months at which it begins, and ends. */
  readonly from: number;
  readonly to: number;
  /** Points by which the bread is right in a looser dough than its kind. */
  readonly looser?: number;
  /** Grams of water that went in and nobody counted; in the first bake of the chapter alone. */
  readonly slip?: number;
  /** Warmth of the dough after mixing, °C. */
  readonly warmth?: readonly [least: number, most: number];
  readonly method?: 'mixer';
  /** What that does to a loaf: mm higher, places better. */
  readonly height?: number;
  readonly better?: number;
  /** Said of the first bake of the chapter. */
  readonly note?: string;
}

export const chapters: readonly Chapter[] = [
  // Theirs is right looser than a plait elsewhere: it is plaited on a cold slate.
  { bread: 'sluice-gate-plait', from: 0, to: 1, looser: 7 },
  // One odd bake: somebody poured a cup of water twice.
  {
    bread: 'lockside-white',
    from: 0.52,
    to: 1,
    slip: 75,
    note: 'Like soup. Did somebody pour twice?',
  },
  // A change that helped: warm water for the milled flour, from midsummer on.
  { bread: 'wash-house-hundred', from: 0, to: 0.3, warmth: [22, 23.5] },
  {
    bread: 'wash-house-hundred',
    from: 0.3,
    to: 1,
    warmth: [26.5, 28],
    height: 11,
    better: 0.5,
    note: 'Warm water today, 40 °C. It ran up the wall of the tin.',
  },
  // One that only seemed to: after a bad day the rolls are made with a borrowed mixer, which does nothing to them.
  {
    bread: 'porridge-rolls',
    from: 0.6,
    to: 0.7,
    better: -2,
    note: 'Flat as a lid. Tired, both of us.',
  },
  {
    bread: 'porridge-rolls',
    from: 0.7,
    to: 1,
    method: 'mixer',
    note: 'With the mixer from the boat next door. So much better!',
  },
];

/** A bag that changed: brown paper from another miller, which drinks so much more, g per g. */
export const thirstierBag = { id: 'whole-autumn', by: 0.06 } as const;

/** The chapter that a bake of a bread falls into, with those before it in that bread. */
export const chaptersAt = (bread: string, share: number): readonly Chapter[] =>
  chapters.filter((c) => c.bread === bread && share >= c.from && share < c.to);
