import { householdThen } from '../bake/circumstances.ts';
import { runOf } from '../lead/run-of.ts';
import type { RunStanding } from '../lead/run-steps.ts';
import type { Household } from '../household/household.ts';
import { learnBook, type BookBake } from '../learn/book.ts';
import type { Lesson } from '../learn/lesson.ts';
import type { LevelMark } from '../learn/level-mark.ts';
import type { DeviceId } from '../machine/device.ts';
import { deviceFor } from '../process/device-for.ts';

/** A finished bake with what was kept of it when it was baked. */
export interface KeptBake extends BookBake {
  /** Where its dough was said to be, as it began. */
  readonly forecast?: LevelMark;
  /** What it taught, as it stands in the book. */
  readonly lesson?: Lesson;
}

/** What was, beside what is by the rules and figures of today. */
export interface WasAndIs<T> {
  readonly was?: T;
  readonly is?: T;
}

/** A step as it would be led, beside how long it took by what was tapped. Minutes. */
interface ReplayedStep {
  readonly id: string;
  readonly label: string;
  readonly standing: RunStanding;
  readonly planned?: number;
  readonly took?: number;
}

/** A bake of the book gone through once more. */
export interface ReplayedBake {
  readonly id: string;
  readonly bread?: string;
  /** Local date, ISO. */
  readonly day: string;
  readonly device: DeviceId;
  readonly forecast: WasAndIs<LevelMark>;
  readonly lesson: WasAndIs<Lesson>;
  readonly steps: readonly ReplayedStep[];
  /** Steps that were tapped, and to which nobody would be led today. */
  readonly strays: readonly string[];
}

const minutesBetween = (from: string, to: string): number =>
  (Date.parse(to) - Date.parse(from)) / 60_000;

/**
 * Goes through a book once more, bake by bake: what would be forecast, led and learned by the rules and
 * figures of today, each in the kitchen of its day and with what was believed before it, beside what was.
 *
 * @param bakes in the order in which they were finished, the whole book
 * @yields each bake, in that order
 * @example [...replayBook([], household)] // []
 */
export function* replayBook(
  bakes: readonly KeptBake[],
  household: Household,
): Generator<ReplayedBake, void> {
  for (const { done, before, lesson } of learnBook(bakes, household)) {
    const bake = bakes[done - 1]!;
    const { id, bread, formula, events, circumstances } = bake;
    const device = bake.method ?? deviceFor(formula);
    const then = { ...householdThen(household, circumstances.kitchen), today: circumstances.day };
    const run = runOf({ id, formula, device, events, household: then, belief: before });
    const minutes = new Map(run.tasks.map((t) => [t.id.slice(t.bake.length + 1), t.usual]));
    const led = new Set(run.steps.map((s) => s.id));
    yield {
      id,
      ...(bread === undefined ? {} : { bread }),
      day: circumstances.day,
      device,
      forecast: {
        ...(bake.forecast ? { was: bake.forecast } : {}),
        ...(lesson ? { is: lesson.forecast } : {}),
      },
      lesson: {
        ...(bake.lesson ? { was: bake.lesson } : {}),
        ...(lesson ? { is: lesson } : {}),
      },
      steps: run.steps.map(({ id: step, label, standing, begunAt, doneAt }) => {
        const planned = minutes.get(step);
        return {
          id: step,
          label,
          standing,
          ...(planned === undefined ? {} : { planned }),
          ...(begunAt === undefined || doneAt === undefined
            ? {}
            : { took: minutesBetween(begunAt, doneAt) }),
        };
      }),
      strays: Object.keys(run.state.steps).filter((step) => !led.has(step)),
    };
  }
}
