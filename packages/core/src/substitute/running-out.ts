import type { Belief } from '../belief/belief.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { kindOfBag, type Bag } from '../ingredient/bag.ts';
import type { Ingredient } from '../ingredient/ingredient.ts';
import type { Formula } from '../formula/formula.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { nextLineId } from '../formula/edit.ts';
import { isRefused } from '../quantity/refusal.ts';
import { sumGrams } from '../quantity/sum-grams.ts';
import { takeCorrection } from '../formula/take-correction.ts';
import { substitute, type Substitution } from './substitute.ts';

/** A bag that has less left than a formula wants of it. */
interface RunningOut {
  readonly bag: Bag;
  readonly wants: number;
  readonly left: number;
  /** The line that gives way. */
  readonly line: ResolvedLine;
}

/** What makes up for what a bag has too little of. */
interface MakeUp {
  readonly from: Bag;
  readonly grams: number;
  /** With that much of the other bag, and all that follows from it. */
  readonly formula: Formula;
  readonly says: string;
}

/** Below so much a bag is as good as enough: a scale's and a scoop's doubt, grams. Own choice. */
const enoughWithin = 2;

/**
 * The bags that a formula would empty, the one that is shortest first.
 *
 * @example runningOut(lines, bags).map((r) => r.bag.name) // ['Blue sack']
 */
export function runningOut(lines: readonly ResolvedLine[], bags: Household['bags']): RunningOut[] {
  return bags
    .flatMap((bag): RunningOut[] => {
      const left = bag.hasLeft;
      if (left === undefined) return [];
      const of = lines.filter((l) => l.of.bag?.id === bag.id && l.grams > 0);
      const wants = sumGrams(of);
      const line = [...of].sort((a, b) => b.grams - a.grams)[0];
      return line && wants > left + enoughWithin ? [{ bag, wants, left, line }] : [];
    })
    .sort((a, b) => b.wants - b.left - (a.wants - a.left));
}

/** How unlike two flours are: by protein, in points, by bran, and by what their gluten can build. Own choice. */
const unlike = (a: Ingredient, b: Ingredient): number =>
  Math.abs(a.composition.protein - b.composition.protein) +
  3 * Math.abs((a.whole ?? 0) - (b.whole ?? 0)) +
  (a.strength === b.strength ? 0 : 6);

/** A line in two: so much of it from another bag of the same. */
function splitLine(formula: Formula, line: ResolvedLine, grams: number, bag: Bag): Formula {
  const id = nextLineId(formula);
  const stages = formula.stages.map((stage) => ({
    ...stage,
    lines: stage.lines.flatMap((l) =>
      l.id === line.id
        ? [
            { ...l, grams: l.grams - grams },
            { ...l, id, grams, bag: bag.id },
          ]
        : [l],
    ),
  }));
  return { ...formula, stages };
}

const take = ({ formula, consequences }: Substitution): Formula =>
  consequences.reduce((f, c) => takeCorrection(f, { ...c, correction: c.key }), formula);

/**
 * What of the pantry makes up for a bag that runs out: another bag of the same first, then the flours most
 * like it, each with the water and the gluten that keep the dough as it was.
 *
 * @param most proposals
 * @returns nothing where no other bag could
 */
export function makeUpFor(
  formula: Formula,
  { bag, wants, left, line }: RunningOut,
  household: Household,
  belief: Belief,
  most = 3,
): MakeUp[] {
  const pantry = pantryIn(household);
  // What a correction brought in is no line to be parted.
  const short = Math.min(Math.ceil(wants - left), line.typedGrams);
  if (!(short > 0)) return [];
  const whole = pantry.stuff(line);
  const others = household.bags
    .filter((b) => b.id !== bag.id && !b.finished && kindOfBag(b) === 'flour')
    .filter((b) => b.hasLeft === undefined || b.hasLeft >= short)
    .map((b) => ({ from: b, of: pantry.stuff({ ingredient: b.ingredient, bag: b.id }) }))
    .filter(({ of }) => of.role === 'flour' && whole.role === 'flour')
    .sort(
      (a, b) =>
        Number(b.of.id === whole.id) - Number(a.of.id === whole.id) ||
        unlike(a.of, whole) - unlike(b.of, whole),
    );
  const found: MakeUp[] = [];
  for (const { from, of } of others) {
    if (found.length >= most) break;
    const says = `${short} g of ${from.name} in place of what is not there`;
    if (of.id === whole.id) {
      found.push({ from, grams: short, formula: splitLine(formula, line, short, from), says });
      continue;
    }
    const share = Math.min(1, short / line.grams);
    const made = substitute(formula, line.id, of.id, household, belief, share, from.id);
    if (!isRefused(made)) found.push({ from, grams: short, formula: take(made), says });
  }
  return found;
}
