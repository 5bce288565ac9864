import { sumGrams } from '../quantity/sum-grams.ts';
import { doughModel } from '../dough/dough-model.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { mostWithout } from '../dough/strength.ts';
import { surplusOf } from '../dough/linear-form.ts';
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

/** A line made of an ingredient, to ask the dough model about it. */
const lineOf = (of: Ingredient, grams: number): ResolvedLine => ({
  id: of.id,
  ingredient: of.id,
  ...(of.bag ? { bag: of.bag.id } : {}),
  grams,
  measured: 'scale',
  stage: 'goal',
  stageKind: 'dough',
  state: undefined,
  typedGrams: grams,
  corrections: [],
  of,
});

/** The candidates as lines at some amounts. */
export const linesAt = (
  candidates: readonly CandidateStuff[],
  grams: (id: string) => number,
): ResolvedLine[] => candidates.map(({ of }) => lineOf(of, grams(of.id)));

/** What the candidates stand on as they are now. */
export const standsOn = (candidates: readonly CandidateStuff[]): Base =>
  baseOf(linesAt(candidates, (id) => candidates.find((c) => c.of.id === id)!.now));

/** Salt that a bread always has within bounds: a third less than is usual here, a fifth more. Common practice, no source. */
const saltShare = { least: 2 / 3, most: 1.2 } as const;

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
  const salt = goal.salt ?? kitchen.coefficients.saltUsualLow.value;
  const usable = candidates.filter((c) => !(dryBase && roles[c.of.role].flour && c.now === 0));
  const lines = linesAt(usable, () => 1);
  const dough = goal.dough ?? sumGrams(now);
  const { forms, softening } = doughModel(lines, kitchen, held);
  const surplus = new Map(forms.map((f) => [f.line.id, 100 * surplusOf(f, softening)]));
  const base = new Map(forms.map((f) => [f.line.id, f.base]));
  const each = (of: (line: ResolvedLine) => number): Map<string, number> =>
    new Map(lines.map((l) => [l.id, of(l)]));
  const ofRole = (role: string, less: number): Map<string, number> =>
    each((l) => Number(l.of.role === role) - less * base.get(l.id)!);

  const rows: Row[] = [
    { id: 'dough', coefficients: each(() => 1), least: dough, most: dough },
    {
      id: 'level-low',
      coefficients: each((l) => surplus.get(l.id)! - goal.window[0] * base.get(l.id)!),
      least: 0,
      goal: 'level',
    },
    {
      id: 'level-high',
      coefficients: each((l) => surplus.get(l.id)! - goal.window[1] * base.get(l.id)!),
      most: 0,
      goal: 'level',
    },
    // A bread is something to stand on: a third of the dough at the least is base.
    { id: 'body', coefficients: base, least: dough / 3 },
    { id: 'salt-least', coefficients: ofRole('salt', (saltShare.least * salt) / 100), least: 0 },
    { id: 'salt-most', coefficients: ofRole('salt', (saltShare.most * salt) / 100), most: 0 },
  ];
  if (dryBase && lines.some((l) => l.of.yeast) && lines.some((l) => l.of.role === 'sugar')) {
    rows.push({
      id: 'food',
      coefficients: each((l) => Number(l.of.role === 'sugar')),
      least: kitchen.coefficients.yeastFood.value,
    });
  }
  if (goal.netCarbs !== undefined) {
    rows.push({
      id: 'netCarbs',
      coefficients: each((l) => netCarbs(l.of, goal.school) / 100),
      most: goal.netCarbs * goal.portions,
      goal: 'netCarbs',
      perUnit: 1 / goal.portions,
    });
  }
  if (goal.protein !== undefined) {
    const bread = dough * (1 - goal.loss);
    rows.push({
      id: 'protein',
      coefficients: each((l) => l.of.composition.protein / 100),
      least: (goal.protein / 100) * bread,
      goal: 'protein',
      perUnit: 100 / bread,
    });
  }
  if (goal.kcal !== undefined) {
    rows.push({
      id: 'kcal',
      coefficients: each(({ of }) => {
        const { protein, fat, fibre, polyols = 0 } = of.composition;
        return (
          energy({
            protein,
            fat,
            fibre,
            carbohydrate: availableCarbs(of.composition),
            [of.polyolEnergy === 0 ? 'erythritol' : 'polyols']: polyols,
          }).kcal / 100
        );
      }),
      most: goal.kcal * goal.portions,
      goal: 'kcal',
      perUnit: 1 / goal.portions,
    });
  }
  if (goal.whole !== undefined) {
    const share = goal.whole / 100;
    rows.push({
      id: 'whole',
      coefficients: each((l) => (isFlour(l) ? (l.of.whole ?? 0) - share : 0)),
      least: 0,
      goal: 'whole',
      perUnit: 100 / held.grams,
    });
  }
  if (goal.useUp !== undefined) {
    const { ingredient, grams } = goal.useUp;
    rows.push({
      id: 'use-up',
      coefficients: each((l) => Number(l.ingredient === ingredient)),
      least: grams,
      goal: 'useUp',
      perUnit: 1,
    });
  }
  const idle = (l: ResolvedLine) =>
    isFlour(l) && l.of.strength !== 'strong' && l.of.strength !== 'weak';
  const flourNow = sumGrams(now.filter(isFlour));
  // A wheat bread stays one: no more of what holds no gas than it can carry, or has already.
  if (!dryBase && sumGrams(now.filter(idle)) <= mostWithout * flourNow) {
    rows.push({
      id: 'idle',
      coefficients: each((l) => (isFlour(l) ? Number(idle(l)) - mostWithout : 0)),
      most: 0,
    });
  }
  for (const { of, edge, share } of boundsOf(dryBase, kitchen)) {
    const is = (l: ResolvedLine) =>
      'role' in of ? l.of.role === of.role : l.of.id === of.ingredient;
    if (!lines.some(is)) continue;
    const coefficients = each((l) => Number(is(l)) - share * base.get(l.id)!);
    const id = `${'role' in of ? of.role : of.ingredient}-${edge}`;
    rows.push({ id, coefficients, [edge]: 0 });
  }
  const price = new Map(
    usable.flatMap((c) =>
      c.of.id === 'water'
        ? [[c.of.id, 0] as const]
        : c.of.pricePerKilo === undefined
          ? []
          : [[c.of.id, c.of.pricePerKilo / 1000] as const],
    ),
  );
  return { candidates: usable, rows, price };
}
