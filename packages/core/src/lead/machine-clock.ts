import { commonPractice, figure } from '../figure/figure.ts';
import { courseTimes, type Course } from '../course/course.ts';
import { keptWarm, timerText } from '../course/timer.ts';
import type { BakeState } from '../bake/state.ts';

/** A dough is looked at so many minutes into its kneading. Handbook section 11: 5 to 10. */
const lookFrom = figure(5, 'min', 1, commonPractice);
const lookTo = figure(10, 'min', 2, commonPractice);

const minuteMs = 60_000;
const after = (iso: string, minutes: number): string =>
  new Date(Date.parse(iso) + minutes * minuteMs).toISOString();

/** How far a machine is by the clock of the kitchen. ISO moments. */
interface MachineClock {
  /** Minute of its programme, 0 before it begins. */
  readonly minute: number;
  /** Minutes without power so far: its clock stood. */
  readonly dark: number;
  /** The power is out. */
  readonly cut: boolean;
  /** When a minute of its programme is. */
  at(minute: number): string;
}

/**
 * How far a machine is that was started at a moment, its delay and every power cut counted.
 *
 * @param now ISO moment
 * @example machineClock('2026-11-26T08:00:00Z', course, [], '2026-11-26T08:42:00Z').minute // 42
 */
export function machineClock(
  startedAt: string,
  course: Course,
  power: BakeState['power'],
  now: string,
): MachineClock {
  const begins = after(startedAt, courseTimes(course).delay);
  let dark = 0;
  let since: string | undefined;
  for (const { what, at } of power) {
    if (what === 'cut') since ??= at;
    else if (since !== undefined) {
      dark += (Date.parse(at) - Date.parse(since)) / minuteMs;
      since = undefined;
    }
  }
  if (since !== undefined) dark += (Date.parse(now) - Date.parse(since)) / minuteMs;
  const passed = (Date.parse(now) - Date.parse(begins)) / minuteMs;
  return {
    minute: Math.max(0, passed - dark),
    dark,
    cut: since !== undefined,
    at: (minute) => after(begins, minute + dark),
  };
}

/**
 * When a dough is looked at that is being kneaded: by hands or a mixer from the tap on, by a machine once it kneads.
 *
 * @example lookInto('2026-11-26T08:00:00Z', course).from // five minutes into its kneading
 */
export function lookInto(
  startedAt: string,
  course?: Course,
): { readonly from: string; readonly to: string } {
  const { delay, kneadsFrom } = course ? courseTimes(course) : { delay: 0, kneadsFrom: 0 };
  return {
    from: after(startedAt, delay + kneadsFrom + lookFrom.value),
    to: after(startedAt, delay + kneadsFrom + lookTo.value),
  };
}

/** When what a course starts first is ready, begun at a moment. */
export function courseReady(startedAt: string, course: Course): string {
  const { delay, first } = courseTimes(course);
  return after(startedAt, delay + first);
}

/** A machine's timer: what it is set to, and the moments that this means. ISO moments. */
export interface TimerAt {
  /** As its display has it. */
  readonly shows: string;
  readonly begins: string;
  readonly ready: string;
  /** It keeps the loaf warm until then, where it does. */
  readonly warmUntil?: string;
}

/**
 * What a machine's timer is set to for its delay, begun at a moment.
 *
 * @example timerAt({...course, delay: 380}, '2026-11-28T20:30:00Z').shows // '9:56', of a programme of 216 minutes
 */
export function timerAt(course: Course, now: string): TimerAt {
  const { delay, first } = courseTimes(course);
  const warm = keptWarm(course);
  const ready = courseReady(now, course);
  return {
    shows: timerText(delay + first),
    begins: after(now, delay),
    ready,
    ...(warm > 0 ? { warmUntil: after(ready, warm) } : {}),
  };
}
