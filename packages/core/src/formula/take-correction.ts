import type { Formula, Taken } from './formula.ts';
import { forgetAbsent } from './stages.ts';

const without = <T>(list: readonly T[], drop: (item: T) => boolean): T[] =>
  list.filter((item) => !drop(item));

/**
 * Takes a correction: a new formula with it laid over the lines as typed.
 *
 * @example takeCorrection(formula, correction).taken.length // one more
 */
export function takeCorrection(formula: Formula, correction: Omit<Taken, 'id'>): Formula {
  const used = formula.taken.map((t) => Number(t.id.slice(1)) || 0);
  const id = `t${Math.max(0, ...used) + 1}`;
  const { correction: key, reason, basis, changes, stages } = correction;
  const taken = { id, correction: key, reason, basis, changes, ...(stages ? { stages } : {}) };
  return { ...formula, taken: [...formula.taken, taken] };
}

/**
 * Gives a taken correction back. Taking and giving back at once restores the formula bit for bit,
 * because the lines as typed were never touched.
 */
export const giveBackCorrection = (formula: Formula, takenId: string): Formula =>
  forgetAbsent({ ...formula, taken: without(formula.taken, (t) => t.id === takenId) });

/** Leaves a correction: it stays out of the way until the baker reconsiders. */
export const leaveCorrection = (formula: Formula, key: string): Formula =>
  formula.left.includes(key) ? formula : { ...formula, left: [...formula.left, key] };

/** Takes back the decision to leave a correction. */
export const reconsiderCorrection = (formula: Formula, key: string): Formula => ({
  ...formula,
  left: without(formula.left, (k) => k === key),
});
