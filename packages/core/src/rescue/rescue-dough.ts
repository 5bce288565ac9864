import { checkDough, type DoughAdvice } from '../hands/dough-check.ts';
import { stillToDrink } from '../hands/rested-feel.ts';
import { isFlour } from '../formula/base.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import type { Formula } from '../formula/formula.ts';
import { totals } from '../formula/totals.ts';
import { windowIn } from '../dough/own-window.ts';
import { outside } from '../dough/window.ts';
import { level, type Level } from '../dough/level.ts';
import type { ParameterKind } from '../dough/parameter.ts';
import { roles } from '../ingredient/role.ts';
import { gramsByVolume } from '../ingredient/measure-weight.ts';
import { feelOf } from '../belief/hands.ts';
import { type Kitchen, kitchenOf } from '../belief/kitchen.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { nothingLearned, type Belief } from '../belief/belief.ts';
import { normalDensity } from '../quantity/normal.ts';
import { ranked, type Cause, type Weighed } from './cause.ts';

/** What becomes of a dough that feels wrong. */
interface DoughRescue {
  /** What to add now, or to leave alone. */
  readonly advice: DoughAdvice;
  /** Whether waiting alone helps, in words; absent where it does not. */
  readonly wait?: string;
  /** Where it should have been by what went in, points, with its spread. */
  readonly expected: { readonly points: number; readonly sd: number };
  readonly causes: readonly Cause[];
}

/** Chance before anything is seen that somebody lost count of something. Common practice, no source. */
const lostCount = 0.12;
/** Chance that somebody has left a thing out. Common practice, no source. */
const leftOut = 0.05;

/** What a kind of doubt is, in a baker's words, by which way the dough departs. */
const doubtSays: Record<ParameterKind, (name: string, wetter: boolean) => string> = {
  absorption: (name, wetter) => `Your ${name} absorbs ${wetter ? 'less' : 'more'} than most.`,
  softening: (_, wetter) => `Its fat and sugar soften it ${wetter ? 'more' : 'less'} than usual.`,
  moisture: (name, wetter) => `Your ${name} is ${wetter ? 'damper' : 'drier'} than it usually is.`,
  habit: (_, wetter) =>
    `You fill a cup ${wetter ? 'more lightly' : 'more heavily'} than was thought.`,
  habitOf: (name, wetter) =>
    `You fill a cup of ${name} ${wetter ? 'more lightly' : 'more heavily'} than was thought.`,
  air: (_, wetter) => `The air has made your flour ${wetter ? 'damper' : 'drier'} than it should.`,
  measuring: (name, wetter) => `${wetter ? 'Less' : 'More'} ${name} went in than you think.`,
  departure: () => 'This kind of dough is different from the forecast.',
  touch: (_, wetter) => `Your finger calls things ${wetter ? 'wet' : 'dry'} early.`,
};

/** What is counted by the cup: less of a thing than this is spooned, grams. Own choice, no source. */
const byTheCup = 60;

/** A cup more or less of a thing than somebody thinks, each with what that would make of the dough. */
function miscounted(lines: readonly ResolvedLine[], kitchen: Kitchen, before: Level): Story[] {
  const counted = lines.filter((l) => l.grams > byTheCup && (isFlour(l) || l.of.role === 'liquid'));
  return counted.flatMap((line) => {
    const cup = gramsByVolume(1, 'cup', line.of, kitchen.measures) ?? line.grams / 2;
    const one = Math.min(line.grams / 2, cup);
    return [-1, 1].flatMap((sign) => {
      const other = lines.map((l) =>
        l.id === line.id ? { ...l, grams: l.grams + sign * one } : l,
      );
      const after = level(other, kitchen);
      return after
        ? [
            {
              id: `count:${line.id}:${sign}`,
              says: `A cup ${sign > 0 ? 'more' : 'less'} of ${line.of.name} went in than you think.`,
              shift: after.points - before.points,
              prior: lostCount / (2 * counted.length),
            },
          ]
        : [];
    });
  });
}

/** Something that may have happened: how likely it is beforehand, and by how many points it would move the dough. */
interface Story {
  readonly id: string;
  readonly says: string;
  readonly shift: number;
  readonly prior: number;
}

/**
 * A dough that feels wrong: what to spoon in now, whether to wait, and what probably happened. What went in is
 * known roughly; the feel is set beside what that should have become.
 *
 * @param felt points where the finger puts it
 * @param rested whether slow flour has had its half hour
 * @param lines as they were weighed; as the formula has them where nobody said
 * @returns undefined where nothing of it is flour, gluten or fibre
 * @example rescueDough(formula, 9, true, household)?.advice.ingredient // 'bread-flour'
 */
export function rescueDough(
  formula: Formula,
  felt: number,
  rested: boolean,
  household: Household,
  belief: Belief = nothingLearned,
  lines: readonly ResolvedLine[] = resolve(formula, pantryIn(household)),
): DoughRescue | undefined {
  const pantry = pantryIn(household);
  const kitchen = kitchenOf(household, belief);
  const at = level(lines, kitchen);
  const sums = totals(lines);
  if (!at || !sums) return undefined;
  const { window } = windowIn(formula.style, sums.dryness, kitchen);
  const toDrink = rested ? 0 : stillToDrink(at);
  const will = felt - toDrink;
  const advice = checkDough(will, window, lines, at.baseGrams, household.measures, pantry);
  const off = will - at.points;
  const wetter = off > 0;

  const finger = feelOf(kitchen);
  const sd = Math.hypot(at.sd, finger);
  const counts = miscounted(lines, kitchen, at);
  const gone = lines
    .filter((l) => l.of.role === 'gluten' || l.of.role === 'fibre' || l.of.role === 'meal')
    .flatMap((line) => {
      const without = level(
        lines.map((l) => (l.id === line.id ? { ...l, grams: 0 } : l)),
        kitchen,
      );
      return without
        ? [
            {
              id: `left-out:${line.id}`,
              says: `The ${line.of.name} was left out.`,
              shift: without.points - at.points,
              prior: leftOut,
            },
          ]
        : [];
    });
  const stories: readonly Story[] = [...counts, ...gone];
  const ordinary = 1 - stories.reduce((sum, s) => sum + s.prior, 0);
  const density = (shift: number): number => normalDensity((off - shift) / sd) / sd;
  // Nothing happened but the usual scatter: parted by how much of it each doubt makes up.
  const scatter = ordinary * density(0);
  const variance = at.doubts.reduce((sum, d) => sum + d.points ** 2, finger ** 2);
  const name = (id: string | undefined): string =>
    id && pantry.has(id) ? pantry.ingredient(id).name : 'flour';
  const bringsWater = (id: string | undefined): boolean =>
    id !== undefined && pantry.has(id) && roles[pantry.ingredient(id).role].bringsWater;
  const usual = new Map<string, Weighed>();
  for (const doubt of at.doubts) {
    // What brings water makes it wetter by more, what drinks by less.
    const brings = doubt.kind === 'measuring' && bringsWater(doubt.ingredient);
    const says = doubtSays[doubt.kind](name(doubt.ingredient), brings ? !wetter : wetter);
    const weight = (scatter * doubt.points ** 2) / variance;
    const before = usual.get(says);
    usual.set(says, { id: doubt.key, says, weight: weight + (before?.weight ?? 0) });
  }
  const inWindow = Math.abs(off) < sd && outside(will, window) === 0;
  const causes = ranked([
    ...usual.values(),
    {
      id: 'finger',
      says: 'A finger can be wrong: the dough may be just right.',
      weight: (scatter * finger ** 2) / variance,
    },
    ...stories.map(({ id, says, shift, prior }) => ({ id, says, weight: prior * density(shift) })),
  ]);
  return {
    advice,
    expected: { points: at.points, sd: at.sd },
    causes: inWindow ? [] : causes,
    ...(toDrink > 1
      ? {
          wait: `Wait ${kitchen.coefficients.restMinutes.value} minutes first, covered: the flour still takes up water, about ${Math.round(toDrink)} points.`,
        }
      : advice.action === 'add'
        ? { wait: 'After each spoon wait two or three minutes, then feel again.' }
        : {}),
  };
}
