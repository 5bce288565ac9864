import { commonPractice, figure, fromMemory } from '../figure/figure.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import {
  add,
  takeOut,
  wetInPlaceOfWater,
  type Candidate,
  type Held,
  type Rule,
  type Swap,
} from './rule.ts';

/** Things of one kind, each of which may take another's place. One row a kind. */
interface Kin {
  /** Whether a thing is of the kind. */
  readonly of: (i: Ingredient) => boolean;
  /** Grams of the one that do a gram's work of the other. */
  readonly grams: (from: Ingredient, to: Ingredient) => number;
  readonly held: readonly Held[];
  readonly notes: (from: Ingredient, to: Ingredient) => readonly string[];
  readonly basis: string;
}

const ids = (...of: string[]) => {
  const all = new Set(of);
  return (i: Ingredient): boolean => all.has(i.id);
};

const wet = ids(
  'water',
  'milk',
  'milk-semi',
  'skimmed-milk',
  'soy-milk',
  'buttermilk',
  'yoghurt',
  'kefir',
  'whey',
);
const sour = ids('buttermilk', 'yoghurt', 'kefir', 'whey');

const kinds: readonly Kin[] = [
  {
    // As wet as before.
    of: wet,
    grams: (from, to) => from.composition.water / to.composition.water,
    held: ['level', 'fat'],
    notes: (from, to) => [
      ...(sour(to) && !sour(from)
        ? ['Sour milk makes a tender crumb, and slows yeast a little.']
        : []),
      ...(to.perishable ? ['It is not left for hours under a delay timer.'] : []),
      ...(to.id === 'water' ? ['A plainer crumb and a paler crust.'] : []),
      ...(from.id === 'water' && to.id !== 'water' ? ['A softer crumb and a browner crust.'] : []),
    ],
    basis: 'water of both, by composition',
  },
  {
    of: (i) => i.role === 'salt',
    grams: (from, to) => (from.addedSalt ?? 100) / (to.addedSalt ?? 100),
    held: [],
    notes: () => ['By the spoon they differ by up to half: weigh it.'],
    basis: 'sodium of both, by composition',
  },
  {
    of: ids('egg', 'egg-yolk', 'egg-white'),
    grams: () => 1,
    held: ['level', 'fat'],
    notes: (_, to) =>
      to.id === 'egg-yolk'
        ? ['Yolk shortens and colours the crumb; about 18 g are in an egg.']
        : to.id === 'egg-white'
          ? ['White dries the crumb as it sets; about 33 g are in an egg.']
          : [],
    basis: 'mass for mass',
  },
  {
    of: ids('oat-fibre', 'wheat-bran', 'oat-bran'),
    grams: () => 1,
    held: ['level'],
    notes: (from, to) => [
      ...(from.id === 'oat-fibre'
        ? ['Bran brings starch and sugar that oat fibre has not: look at the net carbohydrate.']
        : []),
      ...(to.id === 'oat-fibre' ? ['It absorbs much more: give it time before you judge.'] : []),
    ],
    basis: 'mass for mass',
  },
  {
    of: ids('flax-meal', 'chia-seeds'),
    grams: () => 1,
    held: ['level', 'fat'],
    notes: () => ['Both gel: let them stand in some of the water for ten minutes.'],
    basis: 'mass for mass',
  },
];

const swapOf = (line: ResolvedLine, to: Ingredient, kin: Kin): Swap => ({
  changes: [add(line, to.id, line.grams * kin.grams(line.of, to)), takeOut(line)],
  held: kin.held,
  notes: kin.notes(line.of, to),
  basis: kin.basis,
});

/** One thing for another of its kind. */
export const kinForKin: Rule = (line, { pantry }) =>
  kinds
    .filter((kin) => kin.of(line.of))
    .flatMap((kin) =>
      pantry.all
        .filter((to) => kin.of(to) && to.id !== line.ingredient)
        .map((to): Candidate => ({
          id: to.id,
          label: to.id === 'water' ? 'water alone' : to.name,
          make: (l) => swapOf(l, to, kin),
        })),
    );

/** What stands in for egg, grams to a gram of it. */
const eggStands = [
  {
    id: 'lecithin',
    label: 'lecithin and water',
    dry: figure(0.06, 'g per g of egg', 0.02, commonPractice),
    water: figure(0.76, 'g per g of egg', 0.05, fromMemory('USDA SR Legacy 01123')),
    note: 'Stir lecithin into the liquid, or it lumps. The loaf stands a little less high.',
  },
  {
    id: 'flax-meal',
    label: 'linseed gel',
    dry: figure(0.14, 'g per g of egg', 0.04, commonPractice),
    water: figure(0.86, 'g per g of egg', 0.1, commonPractice),
    note: 'Let meal and water stand for ten minutes until they gel.',
  },
] as const;

/** Whole egg to lecithin and water, or to a gel of linseed. */
export const eggForOthers: Rule = (line) =>
  line.ingredient === 'egg'
    ? eggStands.map(({ id, label, dry, water, note }) => ({
        id,
        label,
        make: (l) => ({
          changes: [
            add(l, id, l.grams * dry.value),
            add(l, 'water', l.grams * water.value),
            takeOut(l),
          ],
          held: ['level'],
          notes: [note],
          basis: commonPractice,
        }),
      }))
    : [];

/** And back: egg for what stands in for it, with its water held back. */
export const othersForEgg: Rule = (line, context) =>
  eggStands
    .filter(({ id }) => id === line.ingredient)
    .map(({ dry, water }) => ({
      id: 'egg',
      label: 'egg',
      make: (l) => {
        const grams = l.grams / dry.value;
        return wetInPlaceOfWater(l, { id: 'egg', grams, water: grams * water.value }, context, {
          notes: ['Egg is not left for hours under a delay timer.'],
          basis: commonPractice,
        });
      },
    }));
