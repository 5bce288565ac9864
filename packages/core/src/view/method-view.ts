import { nothingLearned, type Belief } from '../belief/belief.ts';
import type { Formula } from '../formula/formula.ts';
import type { Household } from '../household/household.ts';
import { followedIn, type SentenceLed } from '../lead/followed.ts';
import { runOf } from '../lead/run-of.ts';
import type { DeviceId } from '../machine/device.ts';
import { sentencesOf } from '../process/clauses.ts';
import { partText } from '../process/part-text.ts';
import { methodOf } from '../process/written-steps.ts';
import { stepKinds, type StepKindId } from '../process/step-kind.ts';

/** What was read of a step, as it stands beside the recipe's words. */
export interface ReadStep {
  readonly kind: StepKindId;
  readonly label: string;
  /** Its parts in words; empty where nothing but its kind is known. */
  readonly parts: readonly string[];
}

/** A step of the method as it was written. */
export interface WrittenRow {
  readonly says: string;
  readonly sentences: readonly SentenceLed[];
}

/** A recipe's method beside the bake that it becomes. */
export interface MethodView {
  readonly rows: readonly WrittenRow[];
  readonly read: readonly ReadStep[];
  readonly folds: string | undefined;
}

/**
 * A recipe's method as the bench shows it: each sentence with what becomes of it, and what was read.
 *
 * @example methodView({formula, device: 'hand', household, belief}).rows.length // 0, for a formula without a method
 */
export function methodView({
  formula,
  device,
  household,
  belief = nothingLearned,
}: {
  readonly formula: Formula;
  readonly device: DeviceId;
  readonly household: Household;
  readonly belief?: Belief | undefined;
}): MethodView {
  const method = methodOf(formula);
  const { tasks } = runOf({ id: 'method', formula, device, events: [], household, belief });
  const led = followedIn(method, tasks);
  let at = 0;
  // Sentences come in the order of the rows that they stand in.
  const rows = (formula.steps ?? []).map(({ says }) => {
    const from = at;
    at += sentencesOf(says).length;
    return { says, sentences: led.slice(from, at) };
  });
  const { folds } = method;
  return {
    rows,
    read: (
      Object.entries(method.steps) as Array<[StepKindId, (typeof method.steps)[StepKindId]]>
    ).map(([kind, step]) => ({
      kind,
      label: stepKinds[kind].label,
      parts: (step?.phases ?? []).map((p) => partText(p)).filter(Boolean),
    })),
    folds: folds && `${folds.times} × fold, every ${folds.every} min`,
  };
}
