import { pouredWater } from '../formula/poured-water.ts';
import type { Belief } from '../household/belief.ts';
import { kitchenOf, pantryIn, type Household } from '../household/household.ts';
import { makeCorrection, type Correction, type CorrectionContext } from '../correct/correction.ts';
import { outside } from '../dough/window.ts';
import { evaluate, type Evaluation } from '../evaluate/evaluate.ts';
import { mainStage, type Formula } from '../formula/formula.ts';
import { resolve, type ResolvedLine } from '../formula/resolve.ts';
import { giveBackCorrection, takeCorrection } from '../formula/take-correction.ts';
import { totals } from '../formula/totals.ts';
import { roles } from '../ingredient/role.ts';
import { gramsText } from '../quantity/number.ts';
import { isRefused, refuse, type Refusal, type Refused } from '../quantity/refusal.ts';
import type { Candidate, Held, SwapContext } from './rule.ts';
import { rules } from './rules.ts';

/** What may take a line's place, or why it may not. */
export interface Choice {
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
      glutenFreeHouse: household.glutenFree,
    }
  );
}

function candidates(line: ResolvedLine, context: SwapContext): Candidate[] {
  const all = rules.flatMap((rule) => rule(line, context));
  const seen = new Set<string>();
  return all.filter((c) => !seen.has(c.id) && seen.add(c.id));
}

/**
 * What may take the place of a line: with those that may not, and why.
 *
 * @example choicesFor(formula, 'l1', household).filter((c) => !c.refused).map((c) => c.label)
 */
export function choicesFor(formula: Formula, lineId: string, household: Household): Choice[] {
  const context = contextOf(formula, household);
  const line = context?.lines.find((l) => l.id === lineId);
  if (!context || !line || !(line.grams > 0)) return [];
  return candidates(line, context).map(({ id, label, make }) => {
    const swap = make(line, context);
    return { id, label, ...(isRefused(swap) ? { refused: swap.refused } : {}) };
  });
}

/**
 * Puts something else in a line's place: one mechanism for every substitution. The swap is laid over
 * the lines as one correction; what it upsets (the level, fat, sugar, salt, gluten, the yeast's food) comes back
 * as corrections of their own.
 *
 * @param choiceId of {@link choicesFor}
 * @returns the substitution, or why it is refused
 * @example substitute(formula, 'l5', 'honey', household, belief)
 */
export function substitute(
  formula: Formula,
  lineId: string,
  choiceId: string,
  household: Household,
  belief: Belief,
): Substitution | Refused {
  const context = contextOf(formula, household);
  const line = context?.lines.find((l) => l.id === lineId);
  const candidate = context && line && candidates(line, context).find((c) => c.id === choiceId);
  if (!context || !line || !candidate)
    return refuse('no-such-choice', 'There is no such line or choice.');
  const swap = candidate.make(line, context);
  if (isRefused(swap)) return swap;
  if ('givesBack' in swap) {
    const taken = formula.taken.find((t) => t.stages?.some((s) => s.id === swap.givesBack));
    return taken
      ? { formula: giveBackCorrection(formula, taken.id), consequences: [], notes: swap.notes }
      : refuse('nothing-to-give-back', 'There is nothing to give back.');
  }
  const next = takeCorrection(formula, {
    correction: `swap:${line.ingredient}:${choiceId}`,
    reason: `${candidate.label} in place of ${gramsText(line.grams)} of ${line.of.name}`,
    basis: swap.basis,
    changes: swap.changes,
    ...(swap.stages ? { stages: swap.stages } : {}),
  });
  const before = evaluate(formula, household, belief);
  const after = evaluate(next, household, belief);
  if (!before || !after) return refuse('no-flour', 'Nothing would be left that counts as flour.');
  return {
    formula: next,
    consequences: consequences(before, after, next, swap.held, household, belief),
    notes: swap.notes,
  };
}

const softening = (lines: readonly ResolvedLine[], of: 'fat' | 'sugars'): number =>
  lines.reduce(
    (sum, l) =>
      roles[l.of.role].softens || l.of.role === 'powder'
        ? sum + (l.grams * l.of.composition[of]) / 100
        : sum,
    0,
  );

const saltIn = (lines: readonly ResolvedLine[]): number =>
  lines.reduce((sum, l) => sum + (l.grams * (l.of.addedSalt ?? 0)) / 100, 0);

/** Differences below this share of the flour are not worth a correction. */
const worthACorrection = { fat: 0.008, sugar: 0.008, salt: 0.001 } as const;

function consequences(
  before: Evaluation,
  after: Evaluation,
  formula: Formula,
  held: readonly Held[],
  household: Household,
  belief: Belief,
): Correction[] {
  const stage = mainStage(formula).id;
  const context: CorrectionContext = {
    formula,
    lines: after.lines,
    totals: after.totals,
    level: after.level,
    window: after.window,
    kitchen: kitchenOf(household, belief),
    pantry: pantryIn(household),
    stage,
  };
  const flour = after.totals.flourGrams;
  const known = new Set(before.corrections.map((s) => s.key));
  const follows = after.corrections.filter((s) => !known.has(s.key) && s.kind !== 'water');
  const balance: Correction[] = [];
  const restore = (
    kind: 'fat' | 'sugar' | 'salt',
    ingredient: string,
    grams: number,
    reason: string,
    ifLeft: string,
  ) => {
    const inIt = after.lines.reduce(
      (sum, l) => (l.ingredient === ingredient && l.stage === stage ? sum + l.grams : sum),
      0,
    );
    const change = Math.max(-inIt, Math.round(grams * 2) / 2);
    if (Math.abs(change) < worthACorrection[kind] * flour || change === 0) return;
    balance.push(
      makeCorrection(context, {
        kind,
        reason,
        basis: 'composition of both',
        certainty: 0.9,
        ifLeft,
        changes: [{ stage, ingredient, grams: change }],
      }),
    );
  };
  if (held.includes('fat')) {
    const fat = softening(before.lines, 'fat') - softening(after.lines, 'fat');
    restore(
      'fat',
      'oil',
      fat,
      fat > 0
        ? `${gramsText(fat)} of fat went with it: oil brings it back.`
        : `It brings ${gramsText(-fat)} of fat more: hold back as much oil.`,
      'The crumb is drier or shorter by that much.',
    );
  }
  if (held.includes('sugar')) {
    const sugar = softening(before.lines, 'sugars') - softening(after.lines, 'sugars');
    restore(
      'sugar',
      'sugar',
      sugar,
      `${gramsText(Math.abs(sugar))} of sugar ${sugar > 0 ? 'went with it' : 'come with it'}.`,
      'It is less or more sweet by that much.',
    );
  }
  if (held.includes('salt')) {
    const salt = saltIn(before.lines) - saltIn(after.lines);
    restore(
      'salt',
      'salt',
      salt,
      salt > 0
        ? `${gramsText(salt)} of salt went with it.`
        : `It brings ${gramsText(-salt)} of salt: hold back as much.`,
      'It tastes of that much more or less salt.',
    );
  }
  const water = held.includes('level') ? waterBack(before, after, context) : undefined;
  const called = after.corrections.filter((s) => s.kind === 'water' && !known.has(s.key));
  return [...(water ? [water] : called), ...balance, ...follows];
}

/** Points off the level as it was that a baker would notice. */
const noticed = 0.4;

/** Water to bring the dough back to where it stood, or into its window where it stood outside. */
function waterBack(
  before: Evaluation,
  after: Evaluation,
  context: CorrectionContext,
): Correction | undefined {
  if (before.cannotTell || after.cannotTell) return undefined;
  const [low, high] = after.window;
  const aim =
    outside(before.level.points, after.window) === 0
      ? before.level.points
      : Math.min(high, Math.max(low, before.level.points));
  const off = after.level.points - aim;
  if (Math.abs(off) < noticed) return undefined;
  const poured = pouredWater(after.lines, context.stage);
  const grams = Math.max(-poured, Math.round((-off * after.level.baseGrams) / 100));
  if (grams === 0) return undefined;
  return makeCorrection(context, {
    kind: 'water',
    reason:
      grams > 0
        ? `It drinks more than what it stands in for: ${gramsText(grams)} of water keeps the dough as it was.`
        : `It drinks less, or is wetter, than what it stands in for: hold back ${gramsText(-grams)} of water and the dough stays as it was.`,
    basis: 'the water account before and after',
    certainty: 0.8,
    ifLeft: `The dough comes out ${off < 0 ? 'tighter' : 'looser'} by ${Math.abs(off).toFixed(1)} points.`,
    changes: [{ stage: context.stage, ingredient: 'water', grams }],
  });
}
