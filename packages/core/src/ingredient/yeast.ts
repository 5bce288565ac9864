import type { YeastKind } from './ingredient.ts';
import { figure, fromMemory, type Figure } from '../figure/figure.ts';

const handbooks = fromMemory('trade handbooks: fresh 1, active dry .4 to .5, instant .33 to .4');

/** Grams of each kind that do the work of 1 g of instant yeast. The schools differ: see the spread. */
export const massPerWork: Readonly<Record<YeastKind, Figure>> = {
  fresh: figure(3, 'g per g instant', 0.2, handbooks),
  'active-dry': figure(1.25, 'g per g instant', 0.1, handbooks),
  instant: figure(1, 'g per g instant', 0, 'by definition'),
  osmotolerant: figure(1, 'g per g instant', 0.1, 'common practice, no source'),
};

/**
 * Grams of one kind of yeast that do the work of another's.
 *
 * @example convertYeast(21, 'fresh', 'instant') // 7
 */
export const convertYeast = (grams: number, from: YeastKind, to: YeastKind): number =>
  (grams * massPerWork[to].value) / massPerWork[from].value;
