import type { Form } from './form.ts';

/** Where a bread stands in the oven: in a lidded pot, in a tin, on a hot low rack, under steam, or as its form has it. */
export const ovenStands = ['pot', 'low', 'steam', 'form'] as const;
export type OvenStand = (typeof ovenStands)[number];

/** How a dough is felt: as wheat's, slack or not by its window; as a paste of rye; as one of gluten and fibre. */
export const touches = ['wheat', 'rye', 'low-carb'] as const;
export type Touch = (typeof touches)[number];

/** What everybody asks of a style, and no style can leave out. */
export interface Nature {
  /** What it is shaped to where its recipe does not say. */
  readonly form: Form;
  readonly stands: OvenStand;
  readonly touch: Touch;
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
  touch: 'wheat',
  rises: true,
  littleGluten: false,
  cut: undefined,
};
/** Divided and shaped by hand, on a tray. */
export const shapedTo = (form: Form): Nature => ({ ...tinned, form });
/** Baked low in a hot oven, risen or not. */
export const flat: Nature = { ...tinned, form: 'flat', stands: 'low' };
export const inPot: Nature = { ...tinned, stands: 'pot' };
export const steamed: Nature = { ...tinned, stands: 'steam' };
