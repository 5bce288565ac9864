import { createEvents, type EventAttributes } from 'ics';
import { DateTime } from 'luxon';
import type { TimedPlan } from '@tender-crumb/core/schedule';

/** A moment as a calendar file has it: in world time, which no change of clocks moves. */
const parts = (iso: string): [number, number, number, number, number] => {
  const { year, month, day, hour, minute } = DateTime.fromISO(iso).toUTC();
  return [year, month, day, hour, minute];
};

/**
 * A plan as an iCalendar file (RFC 5545): what somebody has to be there for, each with a bell at its start.
 *
 * @returns undefined where nothing is planned
 * @throws Error where the file cannot be made
 */
export function calendarOf({ steps, bakes }: TimedPlan): string | undefined {
  const name = new Map(bakes.map((b) => [b.id, b.name]));
  const events = steps
    .filter((s) => s.attended !== 'none')
    .map((s): EventAttributes => ({
      uid: `${s.id.replaceAll(':', '-')}@tender-crumb`,
      title: `${s.label}: ${name.get(s.bake) ?? ''}`,
      start: parts(s.start),
      startInputType: 'utc',
      startOutputType: 'utc',
      end: parts(s.end),
      endInputType: 'utc',
      endOutputType: 'utc',
      productId: 'tender-crumb',
      description: [
        s.until ? `Until: ${s.until}` : '',
        s.celsius === undefined ? '' : `${s.celsius} °C`,
      ]
        .filter(Boolean)
        .join('. '),
      // As a moment: a duration of nothing is written as `-PT`, which is none, and no bell rings.
      alarms: [{ action: 'display', description: s.label, trigger: Date.parse(s.start) }],
    }));
  if (events.length === 0) return undefined;
  const { error, value } = createEvents(events);
  if (error) throw error;
  return value ?? undefined;
}
