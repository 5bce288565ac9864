import { figure, type Figure } from '../figure/figure.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Role } from '../ingredient/role.ts';

/** What of a thing's composition differs from one maker, sack or tree to another. */
export type Spreading = 'protein' | 'fat' | 'available' | 'fibre' | 'sodium';

const estimate = 'own estimate, no source';
const share = (value: number): Figure => figure(value, 'share', value / 2, estimate);

/** How far goods of one kind differ in composition, as a share, where nothing else is said. */
const usual: Readonly<Record<Spreading, Figure>> = {
  protein: share(0.05),
  fat: share(0.06),
  available: share(0.04),
  fibre: share(0.12),
  sodium: share(0.05),
};

/** By what a thing is, where its kind differs more. */
const byRole: Readonly<Partial<Record<Role, Partial<Record<Spreading, Figure>>>>> = {
  // Makers wash out the starch more or less well: 5 to 14 g in 100 g.
  gluten: {
    available: figure(0.35, 'share', 0.1, 'common practice, no source'),
    fibre: share(0.5),
  },
  meal: { fat: share(0.1), available: share(0.25), fibre: share(0.15) },
  bran: { available: share(0.15), fibre: share(0.15) },
  fibre: { available: share(0.5), fibre: share(0.08) },
  grain: { available: share(0.1), fibre: share(0.15) },
  addIn: { fat: share(0.1), available: share(0.15), fibre: share(0.2), sodium: share(0.2) },
};

/** A label rounds to half a gram, and a maker may be some per cent off it. */
const labelled: Partial<Record<Spreading, Figure>> = { available: share(0.1) };

/**
 * Spread of one part of a thing's composition about its row, as a share of it.
 *
 * @example spreadOf(vitalGluten, 'available') // .35
 */
export const spreadOf = (of: Ingredient, part: Spreading): number =>
  ((of.like === undefined ? undefined : labelled[part]) ?? byRole[of.role]?.[part] ?? usual[part])
    .value;
