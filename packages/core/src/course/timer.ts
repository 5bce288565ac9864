import { hoursText } from '../quantity/duration.ts';
import type { ResolvedLine } from '../formula/resolve.ts';
import { refuse, type Refused } from '../quantity/refusal.ts';
import { programmeMinutes, spansOf } from '../machine/programme.ts';
import { perishables } from './perishables.ts';
import { courseTimes, type Course } from './course.ts';

/** How a machine's timer is set so that its bread is ready at a moment. */
interface TimerSet {
  /** Minutes until it begins. */
  readonly delay: number;
  /** Minutes from the button until it is ready: what most machines ask for. */
  readonly shows: number;
}

/** Machines are set by ten minutes, some by a quarter of an hour. From memory. */
const timerStep = 10;

/**
 * Minutes for which a machine may wait before it begins: as long as it can, and not at all with what spoils.
 *
 * @example mayWait({...course, programme: {...programme, delays: false}}, lines) // 0
 */
export const mayWait = (
  { programme, machine }: Pick<Course, 'programme' | 'machine'>,
  lines: readonly ResolvedLine[],
): number => (programme.delays && perishables(lines).length === 0 ? machine.mostDelay * 60 : 0);

/**
 * How a machine's timer is set so that its bread is ready in so many minutes, to the step of its clock.
 *
 * @param wanted minutes from now
 * @returns refused where it takes longer than that, cannot wait so long, or has no timer
 * @example timerFor(course, 600) // {delay: 380, shows: 600}, of a programme of 216 minutes
 */
export function timerFor(course: Course, wanted: number): TimerSet | Refused {
  const { first } = courseTimes(course);
  const { programme, machine } = course;
  if (wanted < first)
    return refuse('too-soon', `${programme.label} takes ${hoursText(first / 60)}.`);
  const shows = Math.floor(wanted / timerStep) * timerStep;
  const delay = Math.max(0, shows - first);
  if (delay > 0 && !programme.delays)
    return refuse('no-delay', `${programme.label} cannot be set to begin later.`);
  const longest = machine.mostDelay * 60;
  return delay > longest
    ? refuse('long-delay', `It can wait for ${hoursText(longest / 60)} at most.`)
    : { delay, shows };
}

/**
 * Minutes that a machine keeps a loaf warm after it is done; 0 where it does not.
 *
 * @example keptWarm(course) // 60
 */
export const keptWarm = ({ programme, kind }: Pick<Course, 'programme' | 'kind'>): number =>
  kind === 'whole'
    ? spansOf(programme)
        .filter((s) => s.kind === 'warm' && s.from >= programmeMinutes(programme))
        .reduce((sum, s) => sum + s.minutes, 0)
    : 0;

/**
 * Minutes as a machine's display has them.
 *
 * @example timerText(580) // '9:40'
 */
export const timerText = (minutes: number): string =>
  `${Math.floor(minutes / 60)}:${String(Math.round(minutes % 60)).padStart(2, '0')}`;
