import type { PlannedStep } from './plan.ts';

/**
 * When somebody's hands are wanted for a step: all through, or at its ends.
 *
 * @returns stretches in minutes from the plan's beginning
 * @example handsIn({start: 0, end: 40, attended: 'ends', hands: 3}) // [{from: 0, to: 3}, {from: 37, to: 40}]
 */
export function handsIn({
  start,
  end,
  attended,
  hands,
}: Pick<PlannedStep, 'start' | 'end' | 'attended' | 'hands'>): ReadonlyArray<{
  readonly from: number;
  readonly to: number;
}> {
  if (attended === 'none') return [];
  if (attended === 'all') return [{ from: start, to: end }];
  const first = { from: start, to: Math.min(end, start + hands) };
  return attended === 'start' ? [first] : [first, { from: Math.max(start, end - hands), to: end }];
}
