import { nothingLearned, type Belief } from '../belief/belief.ts';
import type { Formula } from '../formula/formula.ts';
import type { Household } from '../household/household.ts';
import { followedIn, type SentenceLed } from '../lead/followed.ts';
import { runOf } from '../lead/run-of.ts';
import type { DeviceId } from '../machine/device.ts';
import { sentencesOf } from '../process/clauses.ts';
import { foldsText, partText } from '../process/part-text.ts';
import { methodOf } from '../process/written-steps.ts';
import type { StepKindId } from '../process/step-kind.ts';
import type { Method } from '../process/method-in.ts';
import { risesOnce } from '../process/rises-once.ts';
import { stepFields, type StepSaid } from '../process/write-step.ts';
import type { Task } from '../schedule/task.ts';

/** A field of a step that is led, and whose word it is: the recipe's, or the program's habit. */
interface LedField<T> {
  readonly value: T;
  readonly written: boolean;
}

/** A step that is led, with what it goes by. */
export interface LedStep {
  readonly kind: StepKindId;
  readonly label: string;
  /** Whether the recipe speaks of it at all. */
  readonly written: boolean;
  readonly minutes: LedField<number>;
  readonly celsius?: LedField<number>;
  readonly place?: LedField<string>;
  readonly until?: string;
  /** Its parts in words, where it has several. */
  readonly parts: readonly string[];
  /** What of it is written down by a figure. */
  readonly fields: ReadonlyArray<keyof StepSaid>;
}

/** A step of the method as it was written. */
export interface WrittenRow {
  readonly says: string;
  readonly sentences: readonly SentenceLed[];
}

/** A recipe's method beside the bake that it becomes. */
export interface MethodView {
  readonly rows: readonly WrittenRow[];
  /** The steps of its dough, in the order of work. */
  readonly steps: readonly LedStep[];
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
  return { rows, steps: tasks.flatMap((task) => ledStep(task, method, formula)) };
}

/** A rise stands where its way has it, until the recipe or a plan says otherwise. */
const placeOf = ({ kind, uses }: Task): StepSaid['place'] | undefined =>
  kind !== 'first-rise' && kind !== 'final-proof'
    ? undefined
    : uses.some((u) => u.resource === 'fridge')
      ? 'fridge'
      : 'room';

function ledStep(task: Task, method: Method, formula: Formula): LedStep[] {
  const { kind, label, usual, celsius, until, parts = [], folds, id, bake } = task;
  // What is mixed ahead has its own page.
  if (id !== `${bake}:${kind}`) return [];
  const step =
    method.steps[kind] ??
    (kind === 'first-rise' && risesOnce(formula, method) ? method.steps['final-proof'] : undefined);
  const { process, phases = [] } = step ?? {};
  const said = process?.place;
  const place = kind !== 'bake' && said === 'warm' ? said : placeOf(task);
  const oven = kind === 'bake' || kind === 'heat';
  const several = phases.length > 1;
  return [
    {
      kind,
      label,
      written: step !== undefined,
      minutes: {
        // Weighing stands in the time of the mixing, and no recipe counts it.
        value: kind === 'mix' ? (process?.minutes ?? usual) : usual,
        written: process?.minutes !== undefined,
      },
      ...(oven && celsius !== undefined
        ? { celsius: { value: celsius, written: process?.celsius !== undefined } }
        : {}),
      ...(place ? { place: { value: place, written: process?.place !== undefined } } : {}),
      ...(until === undefined ? {} : { until }),
      parts: [
        ...(several ? parts.map((p) => partText(p)).filter(Boolean) : []),
        ...(folds ? [foldsText(folds)] : []),
      ],
      fields: several ? [] : (stepFields[kind] ?? []),
    },
  ];
}
