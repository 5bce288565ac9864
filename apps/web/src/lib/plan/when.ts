import { DateTime } from 'luxon';

/** A moment by the clock of the house. */
export const at = (iso: string, zone: string): DateTime => DateTime.fromISO(iso).setZone(zone);

/** A time of day, with its weekday where that is not today's. */
export function timeText(iso: string, zone: string, now: Date): string {
  const moment = at(iso, zone);
  const today = DateTime.fromJSDate(now).setZone(zone);
  const time = moment.toFormat('HH:mm');
  if (moment.hasSame(today, 'day')) return time;
  const days = moment.startOf('day').diff(today.startOf('day'), 'days').days;
  return Math.abs(days) < 6.5
    ? `${moment.toFormat('ccc')} ${time}`
    : moment.toFormat('d LLL HH:mm');
}

/** From so many hours on, days are counted. */
const daysFrom = 60;

/** How long until a moment, or since it: “in 40 min”, “20 min ago”. */
export function untilText(iso: string, now: Date): string {
  const minutes = Math.round((Date.parse(iso) - now.getTime()) / 60_000);
  if (minutes === 0) return 'now';
  const [hours, rest] = [Math.floor(Math.abs(minutes) / 60), Math.abs(minutes) % 60];
  const days = Math.round(hours / 24);
  const text =
    hours >= daysFrom
      ? `${days} days`
      : [hours > 0 ? `${hours} h` : '', rest > 0 && hours < 12 ? `${rest} min` : '']
          .filter(Boolean)
          .join(' ');
  return minutes > 0 ? `in ${text}` : `${text} ago`;
}

/** As a field for a local date and time has it. */
export const fieldOf = (iso: string, zone: string): string =>
  at(iso, zone).toFormat("yyyy-MM-dd'T'HH:mm");

/** The moment of such a field by the clock of the house. */
export function momentOfField(text: string, zone: string): string | undefined {
  const moment = DateTime.fromISO(text, { zone });
  return moment.isValid ? moment.toISO({ suppressMilliseconds: true })! : undefined;
}
