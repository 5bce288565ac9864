import { clockMinutes, isClock, type Hours, type Week } from '../household/week.ts';
import { longestPlan } from './plan.ts';
import { type Closed } from './task.ts';
import { DateTime, Interval } from 'luxon';

/** A plan counts minutes; here they are moments by the clock of the house, and the other way round. */
export interface Clock {
  /** The moment of minute 0. */
  readonly origin: DateTime;
  readonly zone: string;
}

/** Days that a plan looks ahead, and one more for what began the evening before. */
const daysAhead = Math.ceil(longestPlan / (24 * 60)) + 1;

export const isZone = (zone: string): boolean => DateTime.fromMillis(0).setZone(zone).isValid;

/** A clock whose minute 0 is a moment's own minute. */
export const clockFrom = (moment: string | Date, zone: string): Clock => ({
  origin: (typeof moment === 'string' ? DateTime.fromISO(moment) : DateTime.fromJSDate(moment))
    .setZone(zone)
    .startOf('minute'),
  zone,
});

/** The minute of a moment, to the whole minute. */
export const minuteOf = ({ origin }: Clock, moment: string | Date): number => {
  const at = typeof moment === 'string' ? DateTime.fromISO(moment) : DateTime.fromJSDate(moment);
  return Math.round(at.diff(origin).as('minutes'));
};

/** The moment of a minute, by the clock of the house. */
export const momentOf = ({ origin }: Clock, minute: number): DateTime =>
  origin.plus({ minutes: minute });

/** A moment as it is sent: with the offset of the house's clock. */
export const isoOf = (clock: Clock, minute: number): string =>
  momentOf(clock, minute).toISO({ suppressMilliseconds: true })!;

/** When some hours of the week are, from the day before the plan's. Clocks that change in the night are in it. */
function intervals({ origin }: Clock, hours: readonly Hours[]): Interval[] {
  const first = origin.startOf('day').minus({ days: 1 });
  return Array.from({ length: daysAhead + 1 }, (_, i) => first.plus({ days: i })).flatMap((day) =>
    hours
      .filter((h) => h.days.includes(day.weekday))
      .flatMap(({ from, to }) => {
        const at = (minutes: number, of: DateTime) =>
          of.set({ hour: Math.floor(minutes / 60), minute: minutes % 60 });
        const [a, b] = [clockMinutes(from), clockMinutes(to)];
        const whole = Interval.fromDateTimes(
          at(a, day),
          at(b, b > a ? day : day.plus({ days: 1 })),
        );
        return whole.isValid ? [whole] : [];
      }),
  );
}

/**
 * Whether a moment lies in the hours of cheap or own power.
 *
 * @param moment ISO
 */
export function cheapAt(
  moment: string,
  { week, zone }: { readonly week: Week; readonly zone?: string },
): boolean {
  const clock = clockFrom(moment, zone ?? 'local');
  return intervals(clock, week.power).some((i) => i.contains(clock.origin));
}

/**
 * Whether nobody is up at a moment, or nobody is home.
 *
 * @param moment ISO
 */
export function nobodyUpAt(
  moment: string,
  { week, zone }: { readonly week: Week; readonly zone?: string },
): boolean {
  const clock = clockFrom(moment, zone ?? 'local');
  return intervals(clock, [...week.asleep, ...week.away]).some((i) => i.contains(clock.origin));
}

/** When nobody is there, or power is dear, as a plan takes it. */
export function closedIn(clock: Clock, { asleep, away, power }: Week): Closed[] {
  const minutes = (at: DateTime): number => Math.round(at.diff(clock.origin).as('minutes'));
  const closed =
    (what: Closed['what'], wish: string) =>
    (i: Interval): Closed => ({ from: minutes(i.start!), to: minutes(i.end!), what, wish });
  const cheap = Interval.merge(intervals(clock, power));
  const all = Interval.fromDateTimes(
    clock.origin.minus({ days: 1 }),
    clock.origin.plus({ days: daysAhead }),
  );
  return [
    ...Interval.merge(intervals(clock, asleep)).map(closed('hands', 'asleep')),
    ...Interval.merge(intervals(clock, away)).map(closed('hands', 'away')),
    ...(cheap.length === 0 ? [] : all.difference(...cheap).map(closed('power', 'power'))),
  ];
}

/**
 * Minutes from a moment to the next time that a clock shows so; undefined where that is no time of day.
 *
 * @param clock 'HH:MM'
 * @example minutesUntil('07:00', new Date('2026-11-26T21:30:00Z'), 'UTC') // 570
 */
export function minutesUntil(clock: string, now: Date, zone = 'local'): number | undefined {
  if (!isClock(clock)) return undefined;
  const from = DateTime.fromJSDate(now).setZone(zone);
  const at = clockMinutes(clock);
  const today = from.set({ hour: Math.floor(at / 60), minute: at % 60, second: 0, millisecond: 0 });
  const next = today > from ? today : today.plus({ days: 1 });
  return next.diff(from).as('minutes');
}
