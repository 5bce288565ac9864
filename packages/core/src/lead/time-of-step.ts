import type { TimedStep } from '../schedule/timed-plan.ts';
import type { RunStep } from './run-steps.ts';

/**
 * When a step of the run takes place: at the time of its task in the plan. The tasting, which is no task, begins where the
 * cooling ends, and takes no time of its own.
 *
 * @param timed the task that it is, or is a part of
 * @example timeOfStep({kind: 'taste'}, cool).start // cool.end
 */
export const timeOfStep = (
  { kind }: Pick<RunStep, 'kind'>,
  timed: TimedStep | undefined,
): TimedStep | undefined =>
  timed && kind === 'taste' ? { ...timed, start: timed.end, minutes: 0 } : timed;
