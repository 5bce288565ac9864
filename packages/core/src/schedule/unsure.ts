import { z80 } from '../coefficients/coefficients.ts';
import type { Link, Task } from './task.ts';
import type { Timetable } from './timetable.ts';

/** When a step may really begin and be over, 8 times in 10, minutes. */
interface Margin {
  /** It may begin so early. */
  readonly earliest: number;
  /** It may be over so early, and so late. */
  readonly soonest: number;
  readonly latest: number;
}

/** How far before and after its time something may be, 8 times in 10, minutes. */
interface Off {
  readonly sooner: number;
  readonly later: number;
}
const sure: Off = { sooner: 0, later: 0 };
const widest = (all: readonly Off[]): Off => ({
  sooner: Math.max(0, ...all.map((o) => o.sooner)),
  later: Math.max(0, ...all.map((o) => o.later)),
});

/**
 * How far each step may come off its time: what a dough decides is passed on to what follows it, until a step
 * whose length the baker may choose takes it up. What has happened is sure.
 *
 * @param done ids of tasks that are over
 * @example margins(tasks, links, timetable).get('loaf:bake') // {earliest: 520, latest: 600}
 */
export function margins(
  tasks: readonly Task[],
  links: readonly Link[],
  timetable: Timetable,
  done: ReadonlySet<string> = new Set(),
): ReadonlyMap<string, Margin> {
  /** How far a task's end may lie before and after its time, minutes; in the order of work everything before is known. */
  const spread = new Map<string, { start: Off; end: Off }>();
  for (const task of tasks) {
    const before = links.filter((l) => l.to[0] === task.id && l.to[1] === 'start');
    // A step waits for the latest of those before it: the most unsure one stands for them.
    const start = widest(before.flatMap((l) => spread.get(l.from[0])?.end ?? []));
    const { start: from, end: to } = timetable.get(task.id)!;
    // In the logarithm of the time: it is never over before it began.
    const factor = Math.exp(z80 * task.doubt);
    const own: Off = { sooner: (to - from) * (1 - 1 / factor), later: (to - from) * (factor - 1) };
    // A step that may be shorter or longer at will takes up what came before.
    const room = task.doubt > 0 ? 0 : Math.min(task.most - (to - from), to - from - task.least);
    const left = (off: number) => Math.max(0, off - Math.max(0, room));
    const end: Off = {
      sooner: Math.hypot(left(start.sooner), own.sooner),
      later: Math.hypot(left(start.later), own.later),
    };
    spread.set(task.id, done.has(task.id) ? { start: sure, end: sure } : { start, end });
  }
  // An oven is heated for the dough that comes: as unsure as that.
  const heated = new Map(
    links
      .filter((l) => l.from[0].endsWith(':heat'))
      .map((l) => [l.from[0], spread.get(l.to[0])?.start ?? sure] as const),
  );
  return new Map(
    tasks.map(({ id }) => {
      const { start, end } = timetable.get(id)!;
      const of = spread.get(id)!;
      const off = heated.get(id) ?? of.start;
      return [
        id,
        {
          earliest: Math.round(start - off.sooner),
          soonest: Math.round(end - (heated.get(id) ?? of.end).sooner),
          latest: Math.round(end + (heated.get(id) ?? of.end).later),
        },
      ];
    }),
  );
}
