import { commonPractice, figure } from '../figure/figure.ts';
import type { Process } from '../formula/process.ts';
import type { Stretch } from './rise-span.ts';

/** A stretch in whole minutes. */
export const span = (least: number, usual: number, most: number, doubt = 0): Stretch => ({
  least: Math.round(least),
  usual: Math.round(usual),
  most: Math.round(most),
  doubt,
});

/** A piece of handwork takes a little less or half as long again. Own choice, no source. */
export const handwork = (usual: number): Stretch => span(usual * 0.8, usual, usual * 1.5);

/** Minutes that work takes, and waits where no model tells them. Common practice, no source. */
export const usualMinutes = {
  feed: figure(10, 'min', 3, commonPractice),
  weigh: figure(10, 'min', 4, commonPractice),
  shape: figure(6, 'min', 3, commonPractice),
  shapePiece: figure(1.5, 'min', 0.5, commonPractice),
  /** In the fridge, until a dough full of butter is firm enough to shape. */
  chill: figure(90, 'min', 30, commonPractice),
  /** Of a dough whose rise cannot be told: one of gluten and fibre, or without either. */
  blindProof: figure(60, 'min', 20, commonPractice),
  /** Of a dough with nothing that raises it. */
  rest: figure(30, 'min', 15, commonPractice),
  soak: figure(480, 'min', 180, commonPractice),
  /** Of a pre-ferment that no model tells: in the fridge, or without yeast of its own. */
  preferment: figure(720, 'min', 180, commonPractice),
  /** Of a machine that nobody described, from the button to the loaf. Handbook section 16. */
  programme: figure(200, 'min', 20, commonPractice),
} as const;

/** As a recipe has it, where it says how long. */
export const saidBy = (process: Process | undefined): Stretch | undefined => {
  const { minutes, mostMinutes } = process ?? {};
  if (minutes === undefined || minutes <= 0) return undefined;
  const most = mostMinutes ?? minutes;
  return span(minutes, (minutes + most) / 2, most);
};
