import { commonPractice, figure } from '../figure/figure.ts';
import { settable, tableWithOwn, type OwnValues, type Settable } from '../figure/settable.ts';
import type { Role } from '../ingredient/role.ts';

/** The two kinds of dough that hold together in different ways: on cereal flour, and without. */
type BreadBase = 'dry' | 'wheat';
type Edge = 'least' | 'most';

/** Keys under which a household sets how much of what a bread holds together with. */
export type StructureFigure = `structure:${BreadBase}:${Role}:${Edge}` | `most:${string}`;

const bound = (label: string, share: number): Settable =>
  settable(label, figure(share, 'share of the base', share / 5, commonPractice), 0, 1);

const most = (base: BreadBase, shares: Partial<Record<Role, readonly [string, number]>>) =>
  Object.entries(shares).map(([role, [says, share]]) => [
    `structure:${base}:${role}:most`,
    bound(`${says}, at most${base === 'dry' ? '' : ', beside cereal flour'}`, share),
  ]);

/**
 * Most and least of what goes into a bread for a goal, as shares of its base: beyond them the crumb is
 * gummy, bitter or falls apart. Gluten beside cereal flour has its own figure, `glutenMost`.
 */
export const structureFigures = Object.fromEntries([
  ['structure:dry:gluten:least', bound('Gluten, at least', 0.3)],
  ...most('dry', {
    gluten: ['Gluten', 0.75],
    fibre: ['Fibre', 0.3],
    meal: ['Meals', 0.6],
    bran: ['Bran', 0.3],
    egg: ['Egg', 0.6],
    fat: ['Fat', 0.2],
    sweetener: ['Sweetener', 0.25],
    powder: ['Powders', 0.15],
    grain: ['Grains and seeds', 0.2],
    addIn: ['What is added in', 0.4],
    improver: ['Improvers', 0.02],
  }),
  ...most('wheat', {
    fibre: ['Fibre', 0.1],
    meal: ['Meals', 0.25],
    bran: ['Bran', 0.2],
    egg: ['Egg', 0.35],
    fat: ['Fat', 0.25],
    sugar: ['Sugar', 0.2],
    sweetener: ['Sweetener', 0.1],
    powder: ['Powders', 0.1],
    grain: ['Grains and seeds', 0.35],
    addIn: ['What is added in', 0.5],
    improver: ['Improvers', 0.02],
  }),
  ['most:psyllium', bound('Psyllium, at most', 0.08)],
  ['most:chia-seeds', bound('Chia, at most', 0.1)],
  ['most:flax-meal', bound('Linseed, at most', 0.3)],
  ['most:lupin-flour', bound('Lupin, at most', 0.2)],
  ['most:xanthan', bound('Xanthan, at most', 0.012)],
]) as Readonly<Record<StructureFigure, Settable>>;

/** A bound on a role or on one ingredient, as a share of the base. */
export interface StructureBound {
  readonly of: { readonly role: Role } | { readonly ingredient: string };
  readonly edge: Edge;
  readonly share: number;
}

/**
 * What holds a bread of a base together, as this household has it.
 *
 * @example structureIn('dry', {})[0] // {of: {role: 'gluten'}, edge: 'least', share: .3}
 */
export function structureIn(base: BreadBase, own: OwnValues): StructureBound[] {
  return Object.entries(tableWithOwn(structureFigures, own)).flatMap(
    ([key, { value: share }]): StructureBound[] => {
      const [kind, of, role, edge] = key.split(':') as [string, string, Role, Edge];
      if (kind === 'most') return [{ of: { ingredient: of }, edge: 'most', share }];
      return of === base ? [{ of: { role }, edge, share }] : [];
    },
  );
}
