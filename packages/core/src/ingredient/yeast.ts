import type { YeastKind } from './ingredient.ts';
import { commonPractice, figure, fromMemory, type Figure } from '../figure/figure.ts';
import { settable, withOwn, type OwnValues, type Settable } from '../figure/settable.ts';

const handbooks = fromMemory('trade handbooks: fresh 1, active dry .4 to .5, instant .33 to .4');

/** Grams of each kind that do the work of 1 g of instant yeast. The schools differ: see the spread. */
export const massPerWork = {
  fresh: settable('Fresh yeast', figure(3, 'g per g instant', 0.2, handbooks), 1, 5),
  'active-dry': settable(
    'Active dry yeast',
    figure(1.25, 'g per g instant', 0.1, handbooks),
    0.8,
    2,
  ),
  instant: settable('Instant yeast', figure(1, 'g per g instant', 0, 'by definition'), 1, 1),
  osmotolerant: settable(
    'Osmotolerant yeast',
    figure(1, 'g per g instant', 0.1, commonPractice),
    0.5,
    2,
  ),
} as const satisfies Record<YeastKind, Settable>;

export const yeastKinds = Object.keys(massPerWork) as YeastKind[];

export type YeastWork = Readonly<Record<YeastKind, Figure>>;

/** Keys under which a household sets what its yeasts are worth. */
export type YeastFigure = `yeast:${Exclude<YeastKind, 'instant'>}`;

/** The table above with a household's own figures over it. */
export const yeastWorkWith = (own: OwnValues): YeastWork => ({
  ...massPerWork,
  fresh: withOwn<Settable>(massPerWork.fresh, own['yeast:fresh']),
  'active-dry': withOwn<Settable>(massPerWork['active-dry'], own['yeast:active-dry']),
  osmotolerant: withOwn<Settable>(massPerWork.osmotolerant, own['yeast:osmotolerant']),
});

/**
 * Grams of one kind of yeast that do the work of another's.
 *
 * @example convertYeast(21, 'fresh', 'instant') // 7
 */
export const convertYeast = (
  grams: number,
  from: YeastKind,
  to: YeastKind,
  work: YeastWork = massPerWork,
): number => (grams * work[to].value) / work[from].value;
