import type { FactNoted, FactsNoted } from '../schedule/planned-bake.ts';
import type { RunStep } from './run-steps.ts';
import type { BakeState } from '../bake/state.ts';

/** Steps that one task of a plan is made of. */
const startedBy = (steps: readonly RunStep[]): string | undefined =>
  steps.flatMap((s) => s.begunAt ?? s.doneAt ?? [])[0];

/**
 * What a run says of the steps that were planned for it: what has begun, what is over, what takes longer. A
 * plan moves by them.
 *
 * @param steps as `runSteps` has them
 * @example planFacts(runSteps(tasks, formula, state), state)['first-rise']?.end // '2026-11-26T11:10:00.000Z'
 */
export function planFacts(
  steps: readonly RunStep[],
  { steps: said }: Pick<BakeState, 'steps'>,
): FactsNoted {
  const byTask = new Map<string, RunStep[]>();
  for (const step of steps) {
    if (step.kind === 'taste') continue;
    const of = byTask.get(step.task);
    if (of) of.push(step);
    else byTask.set(step.task, [step]);
  }
  const facts: Record<string, FactNoted> = {};
  for (const [task, of] of byTask) {
    const isOver = (s: RunStep) => s.standing === 'done' || s.standing === 'skipped';
    const skipped = of.find((s) => s.standing === 'skipped') && said[of[0]!.id]?.skippedAt;
    const ends = of.flatMap((s) => s.doneAt ?? said[s.id]?.skippedAt ?? []);
    // The loaf is out when it is out, whether or not somebody looked at the dough.
    const machine = of.find((s) => s.runs);
    const over = machine ? isOver(machine) : of.every(isOver);
    const end = over ? (machine?.doneAt ?? ends.sort().at(-1)) : undefined;
    const start = startedBy(of) ?? skipped ?? end;
    const notBefore = of.flatMap((s) => said[s.id]?.notBefore ?? [])[0];
    if (start === undefined) continue;
    facts[task] = {
      start: end !== undefined && start > end ? end : start,
      ...(end === undefined ? {} : { end }),
      ...(notBefore === undefined || end !== undefined ? {} : { notBefore }),
    };
  }
  return facts;
}

/** Steps that were put off: not before that. */
export const putOff = (
  steps: readonly RunStep[],
  { steps: said }: Pick<BakeState, 'steps'>,
): Readonly<Record<string, string>> =>
  Object.fromEntries(
    steps.flatMap((s) => {
      const at = said[s.id]?.notFrom;
      return at !== undefined && s.standing === 'ahead' ? [[s.task, at]] : [];
    }),
  );
