import type { Belief } from '../belief/belief.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { kitchenOf } from '../belief/kitchen.ts';
import type { Correction, CorrectionContext } from '../correct/correction.ts';
import { outside } from '../dough/window.ts';
import { evaluate, type Evaluation } from '../evaluate/evaluate.ts';
import { mainStage, type Change, type Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { giveBackCorrection, takeCorrection } from '../formula/take-correction.ts';
import { totals } from '../formula/totals.ts';
import { gramsText, percentText } from '../quantity/number.ts';
import { isRefused, refuse, type Refusal, type Refused } from '../quantity/refusal.ts';
import { balance } from './balance.ts';
import { cannotResult } from './cannot-result.ts';
import { keepLevel } from './keep-level.ts';
import type { Candidate, Held, Swap, SwapContext } from './rule.ts';
import { rules } from './rules.ts';

/** What may take a line's place, or why it may not. */
interface Choice {
  readonly id: string;
  readonly label: string;
  readonly refused?: Refusal;
}

/** A formula with something in a line's place, and what follows from that. */
export interface Substitution {
  /** With the swap laid over it as one taken correction: giving that back restores the formula bit for bit. */
  readonly formula: Formula;
  /** What follows, each to take or to leave. */
  readonly consequences: readonly Correction[];
  /** What follows that is not measured in grams: time, handling, cautions. */
  readonly notes: readonly string[];
}

function contextOf(formula: Formula, household: Household): SwapContext | undefined {
  const pantry = pantryIn(household);
  const lines = resolve(formula, pantry);
  const sums = totals(lines);
  return (
    sums && {
      lines,
      totals: sums,
      pantry,
      main: mainStage(formula).id,
    }
  );
}

function candidates(line: ResolvedLine, context: SwapContext): Candidate[] {
  const all = rules.flatMap((rule) => rule(line, context));
  const seen = new Set<string>();
  return all.filter((c) => !seen.has(c.id) && seen.add(c.id));
}

/** A change that brings a thing in, from one bag of it. */
const fromBag = (change: Change, ingredient: string, bag: string): Change =>
  change.ingredient === ingredient && change.grams > 0 ? { ...change, bag } : change;

/** A swap laid over a formula as one taken correction. */
interface Laid {
  readonly formula: Formula;
  readonly swap: Exclude<Swap, Refused>;
}

/** Tries a candidate on a share of a line; refused by itself, or by what the formula would be. */
function tryOn(
  formula: Formula,
  whole: ResolvedLine,
  { id, label, make, whole: altogether }: Candidate,
  context: SwapContext,
  household: Household,
  share: number,
  bag?: string,
): Laid | Refused {
  if (altogether && share < 1) {
    return refuse('only-whole', 'It takes the place of all of it, or of none.');
  }
  const line = share === 1 ? whole : { ...whole, grams: whole.grams * share };
  const swap = make(line, context);
  if (isRefused(swap)) return swap;
  if ('givesBack' in swap) {
    const taken = formula.taken.find((t) => t.stages?.some((s) => s.id === swap.givesBack));
    return taken
      ? { formula: giveBackCorrection(formula, taken.id), swap }
      : refuse('nothing-to-give-back', 'There is nothing to give back.');
  }
  const next = takeCorrection(formula, {
    correction: `swap:${line.ingredient}:${id}`,
    reason: `${label} in place of ${gramsText(line.grams)} of ${line.of.name}`,
    basis: swap.basis,
    changes: bag === undefined ? swap.changes : swap.changes.map((c) => fromBag(c, id, bag)),
    ...(swap.stages ? { stages: swap.stages } : {}),
  });
  const lines = resolve(next, context.pantry);
  const sums = totals(lines);
  if (!sums) return refuse('no-flour', 'Nothing would be left that counts as flour.');
  const refused = cannotResult(context, { lines, totals: sums }, household);
  return refused ? { refused } : { formula: next, swap };
}

/**
 * What may take the place of a line: with those that may not, and why.
 *
 * @param share of the line that gives way, above 0 to 1
 * @example choicesFor(formula, 'l1', household).filter((c) => !c.refused).map((c) => c.label)
 */
export function choicesFor(
  formula: Formula,
  lineId: string,
  household: Household,
  share = 1,
): Choice[] {
  const context = contextOf(formula, household);
  const line = context?.lines.find((l) => l.id === lineId);
  if (!context || !line || !(line.grams > 0)) return [];
  return candidates(line, context).map((candidate) => {
    const laid = tryOn(formula, line, candidate, context, household, share);
    const { id, label } = candidate;
    return { id, label, ...(isRefused(laid) ? { refused: laid.refused } : {}) };
  });
}

/**
 * Puts something else in a line's place: one mechanism for every substitution. The swap is laid over
 * the lines as one correction; what it upsets (the level, fat, sugar, salt, gluten, the yeast's food) comes back
 * as corrections of their own, and what stood wrong before is told apart from that.
 *
 * @param choiceId of {@link choicesFor}
 * @param share of the line that gives way, above 0 to 1
 * @param bag that what takes its place comes from, where that is told apart
 * @returns the substitution, or why it is refused
 * @example substitute(formula, 'l5', 'honey', household, belief, 0.5)
 */
export function substitute(
  formula: Formula,
  lineId: string,
  choiceId: string,
  household: Household,
  belief: Belief,
  share = 1,
  bag?: string,
): Substitution | Refused {
  if (!(share > 0 && share <= 1)) return refuse('no-share', 'A share is above none and up to all.');
  const context = contextOf(formula, household);
  const line = context?.lines.find((l) => l.id === lineId);
  const candidate = context && line && candidates(line, context).find((c) => c.id === choiceId);
  if (!context || !line || !candidate)
    return refuse('no-such-choice', 'There is no such line or choice.');
  const laid = tryOn(formula, line, candidate, context, household, share, bag);
  if (isRefused(laid)) return laid;
  const { swap } = laid;
  if ('givesBack' in swap) return { formula: laid.formula, consequences: [], notes: swap.notes };
  const follows = whatFollows(formula, laid.formula, swap.held, household, belief);
  if (isRefused(follows)) return follows;
  const stays =
    share < 1 ? [`The other ${percentText(100 * (1 - share))} stays ${line.of.name}.`] : [];
  return {
    formula: laid.formula,
    consequences: follows.consequences,
    notes: [...stays, ...follows.notes, ...swap.notes],
  };
}

const take = (formula: Formula, corrections: readonly Correction[]): Formula =>
  corrections.reduce((f, c) => takeCorrection(f, { ...c, correction: c.key }), formula);

/** What puts the dough into its window once the swap is evened out. */
function oldFault(before: Evaluation, correction: Correction): Correction {
  const off = outside(before.level.points, before.window);
  if (off === 0) return correction;
  return {
    ...correction,
    key: `${correction.key}:before`,
    reason: `Apart from the swap, it stood too ${off < 0 ? 'tight' : 'loose'} before. ${correction.reason}`,
  };
}

function whatFollows(
  formula: Formula,
  swapped: Formula,
  held: readonly Held[],
  household: Household,
  belief: Belief,
): Pick<Substitution, 'consequences' | 'notes'> | Refused {
  const judge = (of: Formula) => evaluate(of, household, belief);
  const contextIn = (
    of: Formula,
    { lines, totals: sums, level, window, aims, looks }: Evaluation,
  ) => ({
    formula: of,
    lines,
    totals: sums,
    level,
    window,
    aims,
    looks,
    kitchen: kitchenOf(household, belief),
    pantry: pantryIn(household),
    stage: mainStage(of).id,
  });
  const none = refuse('no-flour', 'Nothing would be left that counts as flour.');
  const [before, after] = [judge(formula), judge(swapped)];
  if (!before || !after) return none;
  const balanced = balance(before.lines, contextIn(swapped, after), held);
  const even = take(swapped, balanced);
  const evened = judge(even);
  if (!evened) return none;
  const context: CorrectionContext = contextIn(even, evened);
  // What a swap changes is better known than where the dough stands: it is kept where that cannot be told.
  const kept = held.includes('level') ? keepLevel(before.level, context) : [];
  if (isRefused(kept)) return kept;
  const known = new Set(before.corrections.map((c) => c.key));
  const ofLevel = (c: Correction) => c.kind === 'water' || c.kind === 'flour';
  const last = judge(take(even, kept));
  const follows = last?.corrections ?? [];
  return {
    consequences: [
      ...kept,
      ...balanced,
      ...follows.filter((c) => ofLevel(c)).map((c) => oldFault(before, c)),
      ...follows.filter((c) => !ofLevel(c) && !known.has(c.key)),
    ],
    notes: last?.cannotTell && !before.cannotTell ? [last.cannotTell.says] : [],
  };
}
