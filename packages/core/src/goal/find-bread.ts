import type { Window } from '../style/style.ts';
import type { Kitchen } from '../belief/kitchen.ts';
import { type Level, level } from '../dough/level.ts';
import { outside } from '../dough/window.ts';
import type { Role } from '../ingredient/role.ts';
import { roundAway } from '../quantity/number.ts';
import type { Change } from '../formula/formula.ts';
import { costOf } from '../nutrition/cost.ts';
import { inHundredGrams, nutrition, partOf, type Nutrition } from '../nutrition/nutrition.ts';
import type { Goal, Relaxable } from './goal.ts';
import {
  linesAt,
  programmeOf,
  standsOn,
  type CandidateStuff,
  type Programme,
} from './programme.ts';
import { solveProgramme, type Amounts } from './solve.ts';

/** One ingredient of the bread that was found. */
interface FoundLine {
  readonly ingredient: string;
  readonly name: string;
  readonly now: number;
  readonly grams: number;
}

/** What a bread would be, by the same functions that judge every other. */
interface FoundFigures {
  readonly portion: Nutrition;
  /** Protein in 100 g of bread. */
  readonly protein: number;
  readonly level: Level | undefined;
  readonly cost: number;
  readonly unpriced: readonly string[];
}

/** A goal that has to give way, and to what. */
export interface Relaxed {
  readonly goal: Relaxable;
  readonly from: number;
  readonly to: number;
}

export type Found =
  | {
      readonly kind: 'found';
      readonly lines: readonly FoundLine[];
      readonly figures: FoundFigures;
      /** So much of it has changed places that it is another bread. */
      readonly another: boolean;
      /** Takes the formula there, as a correction's changes. */
      readonly changes: readonly Change[];
    }
  | {
      readonly kind: 'none';
      /** Each alone would do; empty where only all together would, or nothing. */
      readonly relax: readonly Relaxed[];
      /** What gives way where no goal alone is enough. */
      readonly together: readonly Relaxed[];
    };

/** Whole grams, tenths below ten: what a kitchen weighs. */
const weighable = (grams: number): number =>
  grams < 0.05 ? 0 : grams < 10 ? Math.round(grams * 10) / 10 : Math.round(grams);

/** As weighed, or as it was where a kitchen would see no difference. */
function weighed(grams: number, now: number): number {
  const rounded = weighable(grams);
  return Math.abs(grams - now) < (now < 10 ? 0.1 : 1) && now > 0 ? now : rounded;
}

/** From this share of all but water and salt on, what was found is another bread. Own choice, no source. */
const anotherFrom = 0.2;

/** Whether so much has changed places that it is another bread than the one that stood there. */
function isAnother(lines: readonly FoundLine[]): boolean {
  const solid = lines.filter((l) => l.ingredient !== 'water' && l.ingredient !== 'salt');
  const moved = solid.reduce((sum, l) => sum + Math.max(0, l.grams - l.now), 0);
  return moved > anotherFrom * solid.reduce((sum, l) => sum + l.now, 0);
}

const goals: readonly Relaxable[] = ['netCarbs', 'protein', 'kcal', 'whole', 'useUp', 'level'];

/**
 * Looks for a bread that meets a goal, of what is in the formula and what the pantry offers.
 *
 * @param candidates ingredients with what is in now; yeast is held as it is
 * @param stage of the formula that changes go to
 * @returns amounts to weigh and what they come to, or which goal to give way on and by how much
 */
export function findBread(
  candidates: readonly CandidateStuff[],
  goal: Goal,
  kitchen: Kitchen,
  stage: string,
): Found {
  const free = mayChange(candidates, goal);
  const held = candidates.map((c) => (free(c) ? c : { ...c, least: c.now, most: c.now }));
  // Well inside the window first: a bubble whose middle stands on the mark is out half of the time.
  const programme = programmeOf(held, goal, kitchen);
  const inner = programmeOf(held, { ...goal, window: inside(goal.window) }, kitchen);
  // Where nothing has a price, nothing is cheap.
  const priced = [...programme.price.keys()].some((id) => id !== 'water');
  const aim = { kind: priced ? goal.prefer : 'fewest' } as const;
  const solved = solveProgramme(inner, aim) ?? solveProgramme(programme, aim);
  if (!solved) return nothing(programme, goal);
  const rounded = new Map(
    [...solved.amounts].map(
      ([id, grams]) =>
        [id, weighed(grams, programme.candidates.find((c) => c.of.id === id)!.now)] as const,
    ),
  );
  settleWater(programme, rounded, goal, kitchen);
  const lines = programme.candidates
    .map((c): FoundLine => {
      const grams = rounded.get(c.of.id)!;
      return { ingredient: c.of.id, name: c.of.name, now: c.now, grams };
    })
    .filter((l) => l.grams > 0 || l.now > 0);
  return {
    kind: 'found',
    lines,
    another: isAnother(lines),
    figures: figuresOf(
      programme,
      new Map(lines.map((l) => [l.ingredient, l.grams])),
      goal,
      kitchen,
    ),
    changes: lines
      .filter((l) => Math.abs(l.grams - l.now) > 1e-9)
      .map((l) => ({ stage, ingredient: l.ingredient, grams: l.grams - l.now })),
  };
}

/** What a wheat bread is made another of: its flours, and what goes by them. */
const ofFlour: ReadonlySet<Role> = new Set(['flour', 'gluten', 'bran', 'meal']);

/**
 * What may change: never the yeast; of a wheat bread, where only its flours are spoken of, not what makes
 * it soft or sweet either.
 */
function mayChange(candidates: readonly CandidateStuff[], { netCarbs, kcal }: Goal) {
  const wheat = standsOn(candidates).dryness <= 0.5 && netCarbs === undefined && kcal === undefined;
  return ({ of }: CandidateStuff): boolean =>
    wheat ? ofFlour.has(of.role) || of.role === 'salt' || of.id === 'water' : of.role !== 'leaven';
}

/** A window less a point at each end, or a quarter of it where it is narrow. */
function inside([low, high]: Window): Window {
  const margin = Math.min(1, (high - low) / 4);
  return [low + margin, high - margin];
}

/** Grams that rounding took off or put on what drinks: water makes up for them. */
function settleWater(
  programme: Programme,
  amounts: Map<string, number>,
  { window }: Goal,
  kitchen: Kitchen,
): void {
  const water = amounts.get('water');
  const at = level(
    linesAt(programme.candidates, (id) => amounts.get(id)!),
    kitchen,
  );
  if (water === undefined || !at) return;
  const off = outside(at.points, window);
  if (off === 0) return;
  amounts.set('water', Math.max(0, water + roundAway((-off * at.baseGrams) / 100, 1)));
}

function figuresOf(
  programme: Programme,
  amounts: Amounts,
  goal: Goal,
  kitchen: Kitchen,
): FoundFigures {
  const lines = linesAt(programme.candidates, (id) => amounts.get(id) ?? 0).filter(
    (l) => l.grams > 0,
  );
  const whole = nutrition(lines, goal.school, kitchen, goal.loss);
  const cost = costOf(lines);
  return {
    portion: partOf(whole, 1 / goal.portions),
    protein: inHundredGrams(whole).protein.value,
    level: level(lines, kitchen),
    cost: cost.known,
    unpriced: cost.unpriced,
  };
}

/** What the goal asks for, in its own unit. */
const asked = (goal: Goal, of: Relaxable): number | undefined =>
  of === 'level' ? goal.window[0] : of === 'useUp' ? goal.useUp?.grams : goal[of];

function nothing(programme: Programme, goal: Goal): Found {
  const present = goals.filter((g) => asked(goal, g) !== undefined);
  const relax = present.flatMap((g) => {
    const [one] = relaxed(programme, goal, new Set([g]));
    return one ? [one] : [];
  });
  return {
    kind: 'none',
    relax,
    together: relax.length > 0 ? [] : relaxed(programme, goal, new Set(present)),
  };
}

/** Gives way on some goals, as little as will do; empty where even that will not. */
function relaxed(programme: Programme, goal: Goal, which: ReadonlySet<Relaxable>): Relaxed[] {
  const solved = solveProgramme(programme, { kind: 'relax', goals: which });
  if (!solved) return [];
  const body = programme.rows.find((r) => r.id === 'body')!.coefficients;
  const base = [...solved.amounts].reduce((sum, [id, grams]) => sum + body.get(id)! * grams, 0);
  return programme.rows.flatMap((row): Relaxed[] => {
    const by = solved.slacks.get(row.id) ?? 0;
    if (!row.goal || by < 1e-6) return [];
    if (row.goal === 'level') {
      const low = row.id === 'level-low';
      const from = goal.window[low ? 0 : 1];
      return [{ goal: 'level', from, to: from + ((low ? -1 : 1) * by) / base }];
    }
    const from = asked(goal, row.goal)!;
    const change = by * row.perUnit!;
    return [{ goal: row.goal, from, to: row.most === undefined ? from - change : from + change }];
  });
}
