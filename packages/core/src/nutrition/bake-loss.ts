import type { StyleId } from '../formula/style.ts';
import { figure, fromMemory, type Figure } from '../quantity/figure.ts';

const tin = figure(0.12, 'share of the dough', 0.02, fromMemory('pan loaves lose 10 to 15 %'));
const hearth = figure(
  0.18,
  'share of the dough',
  0.03,
  fromMemory('hearth loaves lose 15 to 22 %'),
);

/** Water that the oven takes, by style. */
export const bakeLoss: Readonly<Record<StyleId, Figure>> = {
  bagel: tin,
  plait: tin,
  rolls: tin,
  pan: tin,
  'wholegrain-pan': tin,
  pizza: tin,
  flatbread: tin,
  'hearth-white': hearth,
  'hearth-wholegrain': hearth,
  'low-carb': tin,
};

/**
 * Dough for a weight of bread.
 *
 * @example doughFor(800, 'pan') // 909 g
 */
export const doughFor = (bread: number, style: StyleId): number =>
  bread / (1 - bakeLoss[style].value);
