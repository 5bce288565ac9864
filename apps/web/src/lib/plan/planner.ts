import type { MovedOption, PlanGiven, PlanView } from '@tender-crumb/core/view';
import { wrap, type Remote } from 'comlink';
import type { Planner } from '../workers/plan.worker.ts';

let remote: Remote<Planner> | undefined;

/** The thread beside the page; it is kept for the next question. */
function planner(): Remote<Planner> {
  remote ??= wrap<Planner>(
    new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
  );
  return remote;
}

/** Starts the thread while the page is still being put together. */
export const wakePlanner = (): void => {
  if (typeof Worker !== 'undefined') planner();
};

/** Plans in a thread beside the page. */
export const planBeside = (given: PlanGiven, now: Date): Promise<PlanView> =>
  planner().plan(given, now.toISOString());

/** What gives where a bread is wanted at another time. */
export const movedBeside = (
  given: PlanGiven,
  bake: string,
  readyBy: string,
  now: Date,
): Promise<readonly MovedOption[]> => planner().moved(given, bake, readyBy, now.toISOString());
