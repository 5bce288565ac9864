import type { Timer } from '../server/store/timers.ts';
import type { TimedStep } from '@tender-crumb/core/schedule';

/** Something that calls: a step that somebody has to be there for, or a timer. */
export interface Call {
  readonly id: string;
  readonly says: string;
  readonly at: string;
}

/** A call that was missed for longer is no call any more, ms. */
const forgotten = 60 * 60_000;

/**
 * What calls now: steps that are to begin and were not, and timers that are over.
 *
 * @param open steps that have neither begun nor are done
 */
export function callsDue(
  open: readonly TimedStep[],
  timers: readonly Timer[],
  nameOf: (bake: string) => string,
  now: Date,
): Call[] {
  const due = (at: string): boolean => {
    const since = now.getTime() - Date.parse(at);
    return since >= 0 && since < forgotten;
  };
  return [
    ...open
      .filter((s) => s.attended !== 'none' && due(s.start))
      .map((s) => ({ id: `${s.id}@`, says: `${s.label}: ${nameOf(s.bake)}`, at: s.start })),
    ...timers
      .filter((t) => due(t.dueAt))
      .map((t) => ({ id: `${t.id}@${t.dueAt}`, says: t.name, at: t.dueAt })),
  ];
}
