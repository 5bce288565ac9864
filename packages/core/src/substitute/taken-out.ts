import type { Belief } from '../belief/belief.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import type { Correction } from '../correct/correction.ts';
import { evaluate, type Evaluation } from '../evaluate/evaluate.ts';
import { osmoticBrake } from '../ferment/osmotic-brake.ts';
import { mainStage, type Formula } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { pantryIn, type Household } from '../household/household.ts';
import type { Role } from '../ingredient/role.ts';
import { gramsText } from '../quantity/number.ts';
import { isRefused } from '../quantity/refusal.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { keepLevel } from './keep-level.ts';

/** What a bread loses with a thing. Common practice, no source. */
const losses: Readonly<Partial<Record<Role, string>>> = {
  sugar: 'it browns less, tastes plainer and goes stale sooner',
  sweetener: 'it tastes plainer',
  egg: 'it is paler and less rich, and its crumb holds together less',
  fat: 'its crumb is less soft and goes stale sooner, its crust crisper',
  salt: 'it tastes flat, and its dough is slacker',
  powder: 'it browns less, and its crumb is less soft',
  gluten: 'it holds less gas, and rises less high',
  leaven: 'nothing raises it but what else is in it',
  improver: 'it goes stale sooner',
};

/** What taking something out of a dough does. */
export interface TakenOut {
  readonly says: string;
  /** What keeps the dough as firm as it was. */
  readonly keeps?: Correction;
}

/** The yeast's pace as salt and sugar leave it, as a share of its pace in plain water. */
function pace(
  { lines, totals }: Evaluation,
  { coefficients }: ReturnType<typeof kitchenOf>,
): number {
  const sugar =
    (100 *
      lines.reduce(
        (sum, l) => sum + (l.of.role === 'sugar' ? (l.grams * l.of.composition.sugars) / 100 : 0),
        0,
      )) /
    totals.flourGrams;
  return osmoticBrake(
    { salt: totals.saltPercent, sugar, water: totals.effectiveHydration },
    coefficients,
    lines.some((l) => l.of.yeast === 'osmotolerant' && l.grams > 0),
  );
}

/** So far a dough moves that it is told of, points. Own choice, no source. */
const toldPoints = 0.75;
/** A rise that is so much faster or slower is told of, as a share. Own choice, no source. */
const toldPace = 0.05;

const isIn = (lines: readonly ResolvedLine[], id: string): boolean =>
  lines.some((l) => l.id === id && l.grams > 0);

/**
 * What it does that a line was taken out, or set to nothing: to the dough, to the rise, to the bread; and what keeps
 * the dough as firm as it was.
 *
 * @param before the formula with it, and `after`, without
 * @returns undefined where nothing went, or more than one thing did
 * @example takenOut(withSugar, without, household, belief)!.says // 'Without 40 g of sugar the dough is 2.4 points firmer …'
 */
export function takenOut(
  before: Formula,
  after: Formula,
  household: Household,
  belief: Belief,
): TakenOut | undefined {
  const [was, is] = [before, after].map((f) => evaluate(f, household, belief));
  if (!was || !is) return undefined;
  const gone = was.lines.filter((l) => l.grams > 0 && !isIn(is.lines, l.id));
  const [line] = gone;
  if (!line || gone.length > 1) return undefined;
  const kitchen = kitchenOf(household, belief);
  const moved = is.level.points - was.level.points;
  const told = !was.cannotTell && !is.cannotTell && Math.abs(moved) >= toldPoints;
  const raised = sumGrams(is.lines.filter((l) => l.of.role === 'leaven')) > 0;
  const faster = raised ? pace(is, kitchen) / pace(was, kitchen) - 1 : 0;
  const does = [
    told
      ? `the dough is ${Math.abs(moved).toFixed(1)} points ${moved < 0 ? 'firmer' : 'softer'}`
      : '',
    Math.abs(faster) >= toldPace
      ? `it rises about ${Math.round(Math.abs(faster) * 100)} % ${faster > 0 ? 'faster' : 'slower'}`
      : '',
    losses[line.of.role] ?? '',
  ].filter(Boolean);
  if (does.length === 0) return undefined;
  const kept = told
    ? keepLevel(was.level, {
        formula: after,
        lines: is.lines,
        totals: is.totals,
        level: is.level,
        window: is.window,
        aims: is.aims,
        looks: is.looks,
        kitchen,
        pantry: pantryIn(household),
        stage: mainStage(after).id,
      })
    : [];
  const [keeps] = isRefused(kept) ? [] : kept;
  return {
    says: `Without ${gramsText(line.grams)} of ${line.of.name} ${does.join('; ')}.`,
    ...(keeps ? { keeps } : {}),
  };
}
