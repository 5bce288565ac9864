import { wrap, type Remote } from 'comlink';
import type { Planner } from '../workers/plan.worker.ts';
import type { NoTimedPlan, Question, TimedPlan } from './planned.ts';

let remote: Remote<Planner> | undefined;

/** Plans in a thread beside the page; the thread is kept for the next question. */
export function planBeside(question: Question): Promise<TimedPlan | NoTimedPlan> {
  remote ??= wrap<Planner>(
    new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote.plan(question);
}
