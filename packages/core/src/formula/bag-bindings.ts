import { kindOfBag, type Bag, type BagKind } from '../ingredient/bag.ts';
import type { Refusal } from '../quantity/refusal.ts';
import type { Formula } from './formula.ts';

/** A line or stage that is bound to a bag that is not there, or that is a bag of something else. */
type BindingProblem = Refusal<'unknown-bag' | 'other-bag'> & { readonly field: string };

interface Binding {
  readonly field: string;
  readonly bag: string;
  readonly fits: (bag: Bag, kind: BagKind) => boolean;
}

/** Where a bag is named in a formula. */
const ofStage = (stage: number): string => `stages[${stage}].bag`;
const ofLine = (stage: number, line: number): string => `stages[${stage}].lines[${line}].bag`;

/** Everything that a formula binds to a bag: lines to flour or yeast of their kind, stages to starters. */
function* bindings(formula: Formula): Generator<Binding> {
  for (const [i, stage] of formula.stages.entries()) {
    if (stage.bag !== undefined) {
      yield {
        field: ofStage(i),
        bag: stage.bag,
        fits: (_, kind) => kind === 'starter' && stage.kind === 'starter',
      };
    }
    for (const [k, { bag, ingredient }] of stage.lines.entries()) {
      if (bag === undefined) continue;
      yield {
        field: ofLine(i, k),
        bag,
        fits: (of, kind) => kind !== 'starter' && of.ingredient === ingredient,
      };
    }
  }
}

/**
 * What is wrong with the bags that a formula is bound to; empty where nothing is.
 *
 * @example bagBindings(formulaOfBlueBag, [])[0].code // 'unknown-bag'
 */
export function bagBindings(formula: Formula, bags: readonly Bag[]): BindingProblem[] {
  const byId = new Map(bags.map((b) => [b.id, b]));
  const problems: BindingProblem[] = [];
  for (const { field, bag, fits } of bindings(formula)) {
    const found = byId.get(bag);
    if (!found) {
      problems.push({ code: 'unknown-bag', field, says: `there is no bag “${bag}” in the pantry` });
    } else if (!fits(found, kindOfBag(found))) {
      problems.push({
        code: 'other-bag',
        field,
        says: `“${found.name}” is a bag of something else`,
      });
    }
  }
  return problems;
}

/**
 * A formula without the bindings that do not hold: a bag that has become another's.
 *
 * @returns the same formula where all hold
 */
export function withoutStrangeBags(formula: Formula, bags: readonly Bag[]): Formula {
  const strange = new Set(bagBindings(formula, bags).map((p) => p.field));
  if (strange.size === 0) return formula;
  const unbound = <T extends { readonly bag?: string }>(thing: T): T => {
    const { bag, ...rest } = thing;
    void bag;
    return rest as T;
  };
  return {
    ...formula,
    stages: formula.stages.map((stage, i) => ({
      ...(strange.has(ofStage(i)) ? unbound(stage) : stage),
      lines: stage.lines.map((line, k) => (strange.has(ofLine(i, k)) ? unbound(line) : line)),
    })),
  };
}
