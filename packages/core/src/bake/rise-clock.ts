import type { RiseNoted } from './state.ts';

/** When a rise is to be looked at, by the clock. ISO 8601, UTC. */
export interface RiseClock {
  /** Look from then on: ready before it once in ten times. */
  readonly look: string;
  readonly ready: string;
  /** Ready by then nine times in ten. */
  readonly late: string;
}

/** How a rise stands by what was noted of it. */
export type RiseStanding = 'to-begin' | 'rising' | 'ready' | 'over';

/** Nobody looks by the minute. */
const clockStep = 5 * 60_000;

const later = (at: string, hours: number): string =>
  new Date(Math.round((Date.parse(at) + hours * 3_600_000) / clockStep) * clockStep).toISOString();

/**
 * A forecast by the clock, from when the rise began, to five minutes.
 *
 * @returns undefined until it has begun
 * @example riseClock({begunAt: '2026-11-25T08:00:00Z', notes: []}, {low: 1, middle: 1.25, high: 1.5})?.look // '2026-11-25T09:00:00.000Z'
 */
export function riseClock(
  { begunAt }: RiseNoted,
  { low, middle, high }: { readonly low: number; readonly middle: number; readonly high: number },
): RiseClock | undefined {
  if (begunAt === undefined) return undefined;
  return { look: later(begunAt, low), ready: later(begunAt, middle), late: later(begunAt, high) };
}

/** How it stands: what was noted last, unless it has not begun. */
export function riseStanding({ begunAt, notes }: RiseNoted): RiseStanding {
  if (begunAt === undefined) return 'to-begin';
  const last = notes.at(-1)?.sense;
  return last === 'there' ? 'ready' : last === 'past' ? 'over' : 'rising';
}
