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
  /** Spread of a task's end, minutes; in the order of work everything before is known. */
  const spread = new Map<string, { start: number; end: number }>();
  for (const task of tasks) {
    const before = links.filter((l) => l.to[0] === task.id && l.to[1] === 'start');
    // A step waits for the latest of those before it: the most unsure one stands for them.
    const start = Math.max(0, ...before.map((l) => spread.get(l.from[0])?.end ?? 0));
    const { start: from, end: to } = timetable.get(task.id)!;
    const own = (to - from) * task.doubt;
    // A step that may be shorter or longer at will takes up what came before.
    const room = task.doubt > 0 ? 0 : Math.min(task.most - (to - from), to - from - task.least);
    const end = Math.hypot(Math.max(0, start - Math.max(0, room) / z80), own);
    spread.set(task.id, done.has(task.id) ? { start: 0, end: 0 } : { start, end });
  }
  // An oven is heated for the dough that comes: as unsure as that.
  const heated = new Map(
    links
      .filter((l) => l.from[0].endsWith(':heat'))
      .map((l) => [l.from[0], spread.get(l.to[0])?.start ?? 0] as const),
  );
  return new Map(
    tasks.map(({ id }) => {
      const { start, end } = timetable.get(id)!;
      const of = spread.get(id)!;
      const off = heated.get(id) ?? of.start;
      return [
        id,
        {
          earliest: Math.round(start - z80 * off),
          soonest: Math.round(end - z80 * (heated.get(id) ?? of.end)),
          latest: Math.round(end + z80 * (heated.get(id) ?? of.end)),
        },
      ];
    }),
  );
}
