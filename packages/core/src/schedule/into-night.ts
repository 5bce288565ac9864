import type { Closed, Task } from './task.ts';

/** A step whose end is in doubt: it may come when nobody is up or at home, later or sooner than it is planned. */
export type IntoNight = 'late' | 'early';

/**
 * Whether the end of a rise may fall where nobody is there, though it is planned to end where somebody is.
 *
 * @param step with when it may be over, 8 times in 10, minutes
 * @example intoNight({doubt: .2, end: 1340, soonest: 1280, latest: 1420}, [{from: 1350, to: 1830, what: 'hands', wish: 'asleep'}]) // 'late'
 */
export function intoNight(
  {
    doubt,
    end,
    soonest,
    latest,
  }: Pick<Task, 'doubt'> & {
    readonly end: number;
    readonly soonest: number;
    readonly latest: number;
  },
  closed: readonly Closed[],
): IntoNight | undefined {
  if (doubt === 0) return undefined;
  const nights = closed.filter((c) => c.what === 'hands');
  if (nights.some((n) => end <= n.from && latest > n.from)) return 'late';
  return nights.some((n) => end >= n.to && soonest < n.to) ? 'early' : undefined;
}
