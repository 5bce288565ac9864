import type { Formula } from '../formula/formula.ts';
import { methodIn, type Method, type MethodStep } from './method-in.ts';
import type { StepKindId } from './step-kind.ts';

/** What a recipe says of its steps: in its words, and what was read of them. */
export type WrittenSteps = Readonly<Partial<Record<StepKindId, MethodStep>>>;

const read = new WeakMap<object, Method>();
const none: Method = methodIn([]);

/** The method of a formula, read once. */
export function methodOf({ steps }: Pick<Formula, 'steps'>): Method {
  if (!steps || steps.length === 0) return none;
  const known = read.get(steps);
  if (known) return known;
  const method = methodIn(steps);
  read.set(steps, method);
  return method;
}

/**
 * What the recipe itself says of the steps of its dough, clause by clause.
 *
 * @example “Bake at 190 °C for 35 to 40 minutes.”: bake, {minutes: 35, mostMinutes: 40, celsius: 190, place: 'oven'}
 */
export const writtenSteps = (formula: Pick<Formula, 'steps'>): WrittenSteps =>
  methodOf(formula).steps;
