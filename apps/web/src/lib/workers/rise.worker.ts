import {
  type Paces,
  type Rise,
  type RiseDraws,
  type RiseModel,
  drawRise,
} from '@tender-crumb/core/ferment';
import { seededRandom } from '@tender-crumb/core/quantity';
import { expose } from 'comlink';

/** So many draws hold the ends of the band to some minutes. */
const draws = 400;

const drawer = {
  /** Draws a rise with the household's own figures, its leavens as they are believed to be. */
  draw: (
    { dough, end }: Pick<Rise, 'dough' | 'end'>,
    paces: Paces,
    model: RiseModel,
  ): RiseDraws | undefined => drawRise(dough, end, seededRandom(draws), draws, paces, model),
};

export type RiseDrawer = typeof drawer;
expose(drawer);
