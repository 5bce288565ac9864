import type { StyleId, Window } from '../style/style.ts';
import { likelyStyle, type LikelyStyle } from './likely-style.ts';
import { cautions, type Caution } from '../caution/cautions.ts';
import { hazardsIn } from '../caution/hazards.ts';
import type { Belief } from '../belief/belief.ts';
import { cannotTell, type CannotTell } from '../dough/cannot-tell.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import { level, type Level } from '../dough/level.ts';
import { corrections } from '../correct/corrections.ts';
import type { Aim } from '../correct/aims.ts';
import type { Correction } from '../correct/correction.ts';
import { stateAt, unknownState, type DoughState } from '../dough/state.ts';
import { windowIn } from '../dough/own-window.ts';
import { judgedAs } from '../dough/window.ts';
import { besidesOf } from '../formula/besides.ts';
import { mainStage, type Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { totals, type Totals } from '../formula/totals.ts';

/** A style that nobody said: how likely it is the right one, what says so, and what else it may be. */
export type StyleGuess = Pick<LikelyStyle, 'probability' | 'because' | 'others'>;

/** The guess as of the style that the formula has. */
const ofGuess = ({ because, all }: LikelyStyle, style: StyleId): StyleGuess => ({
  because,
  probability: all.find((o) => o.style === style)!.probability,
  others: all.filter((o) => o.style !== style),
});

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
  /** What breads it may be, the one of its style first. */
  readonly aims: readonly Aim[];
  /** How sure it is what bread this is, where nobody said. */
  readonly guess?: StyleGuess;
  /** Slow flours have taken up their water after. */
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
  const guess = formula.styleGuessed
    ? ofGuess(likelyStyle(formula, lines, at.points), formula.style)
    : undefined;
  const aims: Aim[] = [
    { window, edge, probability: guess?.probability ?? 1 },
    ...(guess?.others ?? []).map(({ style, probability }) => {
      const { window: w, edge: e } = windowIn(style, sums.dryness, kitchen);
      return { window: w, edge: e, probability };
    }),
  ];
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
    aims,
    ...(guess ? { guess } : {}),
    restMinutes: kitchen.coefficients.restMinutes.value,
    corrections: corrections(
      {
        formula,
        lines,
        totals: sums,
        level: at,
        window,
        aims,
        looks,
        kitchen,
        pantry,
        lowSodium: household.lowSodium,
        school: household.percentages,
        yeastKept: household.yeastKept,
        stage: mainStage(formula).id,
      },
      !unknown,
      guess?.others,
    ),
    cautions: cautions(
      lines,
      {
        style: formula.style,
        totals: sums,
        points: at.points,
        kitchen,
        glutenFree: household.glutenFree,
        said: hazardsIn(
          [formula.name, ...(formula.steps ?? []).map((step) => step.says)].join('\n'),
        ),
      },
      besidesOf(formula, pantry),
    ),
  };
}
