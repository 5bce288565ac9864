import { seededRandom, type Paces, type Rise, type RiseDraws } from '@tender-crumb/core';
import { drawRise } from '@tender-crumb/core/heavy';
import { expose } from 'comlink';

/** So many draws hold the ends of the band to some minutes. */
const draws = 400;

const drawer = {
  /** Draws a rise; its model is the usual one, its leavens as they are believed to be. */
  draw: ({ dough, end }: Pick<Rise, 'dough' | 'end'>, paces: Paces): RiseDraws | undefined =>
    drawRise(dough, end, seededRandom(draws), draws, paces),
};

export type RiseDrawer = typeof drawer;
expose(drawer);
