import { sumGrams } from '../quantity/sum-grams.ts';
import { doughModel } from '../dough/dough-model.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { mostWithout } from '../dough/strength.ts';
import { surplusOf } from '../dough/linear-form.ts';
import { bareLine } from '../formula/bare-line.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { baseOf, isFlour, type Base } from '../formula/base.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import { roles } from '../ingredient/role.ts';
import { energy } from '../nutrition/energy.ts';
import { availableCarbs, netCarbs } from '../nutrition/nutrition.ts';
import { structureIn, type StructureBound } from '../style/structure.ts';
import type { Goal, Relaxable } from './goal.ts';

/** What may go into the bread, and how much of it is in now. */
export interface CandidateStuff {
  readonly of: Ingredient;
  readonly now: number;
  /** Grams at least and at most, where the baker holds it. */
  readonly least?: number;
  readonly most?: number;
}

/** A linear row: Σ coefficient × grams, at least or at most a bound. */
export interface Row {
  readonly id: string;
  readonly coefficients: ReadonlyMap<string, number>;
  readonly least?: number;
  readonly most?: number;
  /** The goal that it stands for; rows without one are what bread is, and never give way. */
  readonly goal?: Relaxable;
  /** Units of the goal's own figure for one unit of this row. */
  readonly perUnit?: number;
}

/** A bread as a linear programme: grams of each candidate are the unknowns. */
export interface Programme {
  readonly candidates: readonly CandidateStuff[];
  readonly rows: readonly Row[];
  /** Money per gram, where a price is known. */
  readonly price: ReadonlyMap<string, number>;
}

/** What holds it together; in a wheat bread there is no more gluten than does it good. */
const boundsOf = (dryBase: boolean, { coefficients, figures }: Kitchen): StructureBound[] =>
  dryBase
    ? structureIn('dry', figures)
    : [
        ...structureIn('wheat', figures),
        {
          of: { role: 'gluten' },
          edge: 'most',
          share: coefficients.glutenMost.value / 100,
        },
      ];

/** The candidates as lines at some amounts. */
export const linesAt = (
  candidates: readonly CandidateStuff[],
  grams: (id: string) => number,
): ResolvedLine[] => candidates.map(({ of }) => bareLine(of, grams(of.id)));

/** What the candidates stand on as they are now. */
export const standsOn = (candidates: readonly CandidateStuff[]): Base =>
  baseOf(linesAt(candidates, (id) => candidates.find((c) => c.of.id === id)!.now));

/** Salt that a bread always has within bounds: a third less than is usual here, a fifth more. Common practice, no source. */
const saltShare = { least: 2 / 3, most: 1.2 } as const;

/** What rows are made of: the lines that may go in, a gram of each, and what bread they are held to. */
interface Setting {
  readonly goal: Goal;
  readonly kitchen: Kitchen;
  readonly now: readonly ResolvedLine[];
  readonly lines: readonly ResolvedLine[];
  readonly held: Base;
  readonly dryBase: boolean;
  /** Grams of dough that it comes to. */
  readonly dough: number;
  /** Base in a gram of each line, and a hundred times the water that it has over or under. */
  readonly base: ReadonlyMap<string, number>;
  readonly surplus: ReadonlyMap<string, number>;
  each(of: (line: ResolvedLine) => number): Map<string, number>;
}

/** What bread is: so much dough, something to stand on, salt, what yeast lives on. */
function breadRows({ goal, kitchen, lines, dryBase, dough, base, surplus, each }: Setting): Row[] {
  const { saltUsualLow, yeastFood } = kitchen.coefficients;
  const salt = goal.salt ?? saltUsualLow.value;
  const above = (end: number) => each((l) => surplus.get(l.id)! - end * base.get(l.id)!);
  const salted = (share: number) =>
    each((l) => Number(l.of.role === 'salt') - ((share * salt) / 100) * base.get(l.id)!);
  const lives =
    dryBase && lines.some((l) => l.of.yeast) && lines.some((l) => l.of.role === 'sugar');
  return [
    { id: 'dough', coefficients: each(() => 1), least: dough, most: dough },
    { id: 'level-low', coefficients: above(goal.window[0]), least: 0, goal: 'level' },
    { id: 'level-high', coefficients: above(goal.window[1]), most: 0, goal: 'level' },
    // A bread is something to stand on: a third of the dough at the least is base.
    { id: 'body', coefficients: base, least: dough / 3 },
    { id: 'salt-least', coefficients: salted(saltShare.least), least: 0 },
    { id: 'salt-most', coefficients: salted(saltShare.most), most: 0 },
    ...(lives
      ? [
          {
            id: 'food',
            coefficients: each((l) => Number(l.of.role === 'sugar')),
            least: yeastFood.value,
          },
        ]
      : []),
  ];
}

/** Energy in 100 g of an ingredient, kcal. */
function kcalOf({ composition, polyolEnergy }: Ingredient): number {
  const { protein, fat, fibre, polyols = 0 } = composition;
  const carbohydrate = availableCarbs(composition);
  const sweet = polyolEnergy === 0 ? 'erythritol' : 'polyols';
  return energy({ protein, fat, fibre, carbohydrate, [sweet]: polyols }).kcal;
}

/** What can be asked for, and the row that it is: one a figure of the goal. */
const goalRows: ReadonlyArray<(of: Setting) => Row | undefined> = [
  ({ goal: { netCarbs: most, portions, school }, each }) =>
    most === undefined
      ? undefined
      : {
          id: 'netCarbs',
          coefficients: each((l) => netCarbs(l.of, school) / 100),
          most: most * portions,
          goal: 'netCarbs',
          perUnit: 1 / portions,
        },
  ({ goal: { protein, loss }, dough, each }) => {
    const bread = dough * (1 - loss);
    return protein === undefined
      ? undefined
      : {
          id: 'protein',
          coefficients: each((l) => l.of.composition.protein / 100),
          least: (protein / 100) * bread,
          goal: 'protein',
          perUnit: 100 / bread,
        };
  },
  ({ goal: { kcal, portions }, each }) =>
    kcal === undefined
      ? undefined
      : {
          id: 'kcal',
          coefficients: each(({ of }) => kcalOf(of) / 100),
          most: kcal * portions,
          goal: 'kcal',
          perUnit: 1 / portions,
        },
  ({ goal: { whole }, held, each }) =>
    whole === undefined
      ? undefined
      : {
          id: 'whole',
          coefficients: each((l) => (isFlour(l) ? (l.of.whole ?? 0) - whole / 100 : 0)),
          least: 0,
          goal: 'whole',
          perUnit: 100 / held.grams,
        },
  ({ goal: { useUp }, each }) =>
    useUp && {
      id: 'use-up',
      coefficients: each((l) => Number(l.ingredient === useUp.ingredient)),
      least: useUp.grams,
      goal: 'useUp',
      perUnit: 1,
    },
];

const isIdle = (l: ResolvedLine): boolean =>
  isFlour(l) && l.of.strength !== 'strong' && l.of.strength !== 'weak';

/** What holds it together. */
function structureRows({ kitchen, now, lines, dryBase, base, each }: Setting): Row[] {
  const flourNow = sumGrams(now.filter(isFlour));
  // A wheat bread stays one: no more of what holds no gas than it can carry, or has already.
  const staysWheat = !dryBase && sumGrams(now.filter(isIdle)) <= mostWithout * flourNow;
  const idle = each((l) => (isFlour(l) ? Number(isIdle(l)) - mostWithout : 0));
  return [
    ...(staysWheat ? [{ id: 'idle', coefficients: idle, most: 0 }] : []),
    ...boundsOf(dryBase, kitchen).flatMap(({ of, edge, share }) => {
      const is = (l: ResolvedLine) =>
        'role' in of ? l.of.role === of.role : l.of.id === of.ingredient;
      if (!lines.some(is)) return [];
      const coefficients = each((l) => Number(is(l)) - share * base.get(l.id)!);
      return [{ id: `${'role' in of ? of.role : of.ingredient}-${edge}`, coefficients, [edge]: 0 }];
    }),
  ];
}

/** Money per gram, where a price is known; water costs nothing. */
const pricesOf = (candidates: readonly CandidateStuff[]): Map<string, number> =>
  new Map(
    candidates.flatMap(({ of: { id, pricePerKilo } }) => {
      const perKilo = id === 'water' ? 0 : pricePerKilo;
      return perKilo === undefined ? [] : [[id, perKilo / 1000] as const];
    }),
  );

/**
 * Sets a bread up as a linear programme. Everything that is asked for is linear in the grams: net
 * carbohydrate, protein and energy by composition, the level because its window's ends times the base are
 * linear too (100 × surplus ≥ low × base), structure as shares of the base.
 *
 * @param candidates what is in the formula and what the pantry offers; those in it at `now` above 0
 */
export function programmeOf(
  candidates: readonly CandidateStuff[],
  goal: Goal,
  kitchen: Kitchen,
): Programme {
  const now = linesAt(candidates, (id) => candidates.find((c) => c.of.id === id)!.now);
  // Held where the formula stands now: the programme is linear on one base.
  const held = standsOn(candidates);
  const dryBase = held.dryness > 0.5;
  const usable = candidates.filter((c) => !(dryBase && roles[c.of.role].flour && c.now === 0));
  const lines = linesAt(usable, () => 1);
  const { forms, softening } = doughModel(lines, kitchen, held);
  const setting: Setting = {
    goal,
    kitchen,
    now,
    lines,
    held,
    dryBase,
    dough: goal.dough ?? sumGrams(now),
    base: new Map(forms.map((f) => [f.line.id, f.base])),
    surplus: new Map(forms.map((f) => [f.line.id, 100 * surplusOf(f, softening)])),
    each: (of) => new Map(lines.map((l) => [l.id, of(l)])),
  };
  return {
    candidates: usable,
    rows: [
      ...breadRows(setting),
      ...goalRows.flatMap((row) => row(setting) ?? []),
      ...structureRows(setting),
    ],
    price: pricesOf(usable),
  };
}
