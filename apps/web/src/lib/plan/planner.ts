import type { PlanGiven, PlanView } from '@tender-crumb/core/view';
import { wrap, type Remote } from 'comlink';
import type { Planner } from '../workers/plan.worker.ts';

let remote: Remote<Planner> | undefined;

/** Plans in a thread beside the page; the thread is kept for the next question. */
export function planBeside(given: PlanGiven, now: Date): Promise<PlanView> {
  remote ??= wrap<Planner>(
    new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote.plan(given, now.toISOString());
}
