import type { Form } from './form.ts';

/**
 * Where a bread is baked: in a lidded pot, on a hot low rack, under steam, as its form has it, or in no oven but
 * over boiling water.
 */
export const ovenStands = ['pot', 'low', 'steam', 'form', 'steamer'] as const;
export type OvenStand = (typeof ovenStands)[number];

/** Whether a bread is turned round half-way, as every oven has a hotter side: not in a pot, that is hot all round. Common practice, no source. */
export const isTurned = (stands: OvenStand): boolean => stands !== 'pot' && stands !== 'steamer';

/** How a dough is felt: as wheat's, slack or not by its window; as a paste of rye; as one of gluten and fibre; with a spoon, where it is only stirred. */
export const touches = ['wheat', 'rye', 'low-carb', 'stirred'] as const;
export type Touch = (typeof touches)[number];

/** When a bread is at its best: what an hour counts that it stands ready before its time, beside what a way to let it rise costs. */
interface Eating {
  /** Hours before its time that nobody minds. */
  readonly fresh: number;
  /** What each hour beyond that counts. */
  readonly stale: number;
}

/**
 * One row a way to eat it. Common practice, no source; the figures are own choices, that of a day's loaf set once more after the
 * forty plans of the tests were seen.
 */
export const eatings = {
  /** Out of the oven onto the table. */
  'at once': { fresh: 0.5, stale: 1.5 },
  /** On the day that it was baked. */
  'that day': { fresh: 3, stale: 0.5 },
  /** It is better for a day's wait. */
  later: { fresh: 24, stale: 0.05 },
} as const satisfies Record<string, Eating>;
type EatingId = keyof typeof eatings;

/** What everybody asks of a style, and no style can leave out. */
export interface Nature {
  /** What it is shaped to where its recipe does not say. */
  readonly form: Form;
  readonly stands: OvenStand;
  /** When it is at its best. */
  readonly eaten: EatingId;
  readonly touch: Touch;
  /** It is worked until it is smooth; else it is stirred until no dry flour is left, and left alone. */
  readonly kneaded: boolean;
  /** Leaven raises it; a bread that is baked without rising as well needs none. */
  readonly rises: boolean;
  /** It is meant to be without much gluten: nobody has to be told. */
  readonly littleGluten: boolean;
  /** What is said of cutting it, where it is not what is true of any bread. */
  readonly cut: string | undefined;
}

/** A loaf of wheat in its tin, as most are. */
export const tinned: Nature = {
  form: 'loaf',
  stands: 'form',
  eaten: 'that day',
  touch: 'wheat',
  kneaded: true,
  rises: true,
  littleGluten: false,
  cut: undefined,
};
/** Divided and shaped by hand, on a tray. */
export const shapedTo = (form: Form): Nature => ({
  ...tinned,
  form,
  eaten: form === 'plait' ? 'that day' : 'at once',
});
/** Baked low in a hot oven, risen or not. */
export const flat: Nature = { ...tinned, form: 'flat', stands: 'low', eaten: 'at once' };
export const inPot: Nature = { ...tinned, stands: 'pot' };
export const underSteam: Nature = { ...tinned, stands: 'steam' };
/** A batter that holds a spoon, poured into its tin. */
export const stirred: Nature = { ...tinned, touch: 'stirred', kneaded: false };
