import type { Window } from '../style/style.ts';
import { cautions, type Caution } from '../caution/cautions.ts';
import type { Belief } from '../belief/belief.ts';
import { cannotTell, type CannotTell } from '../dough/cannot-tell.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import { level, type Level } from '../dough/level.ts';
import { corrections } from '../correct/corrections.ts';
import type { Correction } from '../correct/correction.ts';
import { stateAt, unknownState, type DoughState } from '../dough/state.ts';
import { windowIn } from '../dough/own-window.ts';
import { judgedAs } from '../dough/window.ts';
import { besidesOf } from '../formula/besides.ts';
import { mainStage, type Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { totals, type Totals } from '../formula/totals.ts';

/** Everything that can be said of a formula before it is mixed. */
export interface Evaluation {
  readonly lines: readonly ResolvedLine[];
  readonly totals: Totals;
  readonly level: Level;
  /** Why the level must not be believed, where it must not. */
  readonly cannotTell?: CannotTell;
  readonly state: DoughState;
  /** As this household's loaves of this bread have it; the style's before the first that was judged. */
  readonly window: Window;
  /** The style's. */
  readonly styleWindow: Window;
  /** Judged loaves that the window rests on. */
  readonly looks: number;
  /** How far its ends are in doubt, standard deviation in points. */
  readonly edge: number;
  /** After so long slow drinkers have had enough. */
  readonly restMinutes: number;
  /** All corrections that it calls for, those that the baker left included. */
  readonly corrections: readonly Correction[];
  readonly cautions: readonly Caution[];
}

/**
 * Works out what a formula will do in this household and what to correct.
 *
 * @returns undefined where nothing in it counts as flour: there is then no 100 % and no level
 * @example evaluate(formula, defaultHousehold, nothingLearned)?.level.points
 */
export function evaluate(
  formula: Formula,
  household: Household,
  belief: Belief,
): Evaluation | undefined {
  const pantry = pantryIn(household);
  const lines = resolve(formula, pantry);
  const sums = totals(lines);
  const kitchen = kitchenOf(household, belief);
  const at = level(lines, kitchen);
  if (!sums || !at) return undefined;
  const {
    window,
    style: styleWindow,
    edge,
    looks,
  } = windowIn(formula.style, sums.dryness, kitchen);
  const unknown = cannotTell(lines, sums, at, formula.unread);
  return {
    lines,
    totals: sums,
    level: at,
    ...(unknown ? { cannotTell: unknown } : {}),
    state: unknown ? unknownState : stateAt(at.points, judgedAs(formula.style, sums)),
    window,
    styleWindow,
    looks,
    edge,
    restMinutes: kitchen.coefficients.restMinutes.value,
    corrections: corrections(
      {
        formula,
        lines,
        totals: sums,
        level: at,
        window,
        edge,
        looks,
        kitchen,
        pantry,
        lowSodium: household.lowSodium,
        school: household.percentages,
        yeastKept: household.yeastKept,
        stage: mainStage(formula).id,
      },
      !unknown,
    ),
    cautions: cautions(
      lines,
      {
        style: formula.style,
        totals: sums,
        points: at.points,
        kitchen,
        glutenFree: household.glutenFree,
      },
      besidesOf(formula, pantry),
    ),
  };
}
