import type { RunStep } from './run-steps.ts';

/** Clocks of two tablets may differ by so much, minutes; what lies further ahead is no time since mixing. Own choice, no source. */
const clocksDiffer = 5;

/** Steps in which flour and water come together: from the first of them on, the flour drinks. */
const wets: ReadonlySet<RunStep['kind']> = new Set(['autolyse', 'mix', 'programme']);

/**
 * Minutes for which the flour of a dough has been wet; undefined where nobody said when it was mixed.
 *
 * @param now ISO moment
 * @param waits minutes that a machine waits or warms everything before it kneads
 * @example wetFor([{kind: 'mix', begunAt: '2026-05-02T08:00:00Z', …}], '2026-05-02T08:07:00Z') // 7
 */
export function wetFor(
  steps: ReadonlyArray<Pick<RunStep, 'kind' | 'begunAt' | 'doneAt'>>,
  now: string,
  waits = 0,
): number | undefined {
  const wet = steps.find((s) => wets.has(s.kind) && (s.begunAt ?? s.doneAt) !== undefined);
  const since = wet && (wet.begunAt ?? wet.doneAt);
  if (since === undefined) return undefined;
  const minutes =
    (Date.parse(now) - Date.parse(since)) / 60_000 - (wet?.kind === 'autolyse' ? 0 : waits);
  return minutes >= -clocksDiffer ? Math.max(0, minutes) : undefined;
}

/**
 * Whether a touch is of a dough whose slow flour has drunk; undefined where it cannot be told, and the baker is asked.
 *
 * @param rest minutes that slow drinkers take in this household
 * @example hasDrunk(7, 25) // false
 * @example hasDrunk(undefined, 25) // undefined
 */
export const hasDrunk = (minutes: number | undefined, rest: number): boolean | undefined =>
  minutes === undefined ? undefined : minutes >= rest;
