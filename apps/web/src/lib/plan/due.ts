import type { Timer } from '../server/store/timers.ts';
import { changesOf, type TimedStep } from '@tender-crumb/core/schedule';

/** Something that calls: a step that somebody has to be there for, or a timer. */
export interface Call {
  readonly id: string;
  readonly says: string;
  readonly at: string;
}

/** What is done in the middle of a step calls for so long, ms. */
const soonPast = 10 * 60_000;

/** A call that was missed for longer is no call any more, ms. */
const forgotten = 60 * 60_000;

/**
 * What calls now: steps that are to begin and were not, what is to be done in the middle of one that has begun, and timers
 * that are over.
 *
 * @param open steps that have neither begun nor are done
 * @param begun steps that have begun and are not done
 */
export function callsDue(
  open: readonly TimedStep[],
  begun: readonly TimedStep[],
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
    ...begun.flatMap((s) =>
      changesOf(s)
        // A fold or a lid is soon past: what was due before is no call any more.
        .filter(({ at }) => due(at) && now.getTime() - Date.parse(at) < soonPast)
        .map(({ at, says }) => ({ id: `${s.id}@${at}`, says: `${says}: ${nameOf(s.bake)}`, at })),
    ),
    ...timers
      .filter((t) => due(t.dueAt))
      .map((t) => ({ id: `${t.id}@${t.dueAt}`, says: t.name, at: t.dueAt })),
  ];
}
