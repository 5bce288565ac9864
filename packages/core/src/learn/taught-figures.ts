import type { Household } from '../household/household.ts';
import { learnedName, type LearnedName } from './learned-figures.ts';
import type { Lesson } from './lesson.ts';

/** A figure that a bake moved: how it is called, what it was, what it is. */
export interface TaughtFigure extends LearnedName {
  readonly key: string;
  readonly before: number;
  readonly after: number;
}

/**
 * What a bake taught, as it is read: of its dough what moved most, and all that it measured beside.
 *
 * @param most so many figures of the dough
 * @example taughtFigures(lesson, household, 5).map((f) => f.says) // ['Blue sack drinks', 'the starter works at', …]
 */
export function taughtFigures(
  { taught, measured = [] }: Pick<Lesson, 'taught' | 'measured'>,
  household: Household,
  most: number,
): TaughtFigure[] {
  const figure = (key: string, before: number, after: number): TaughtFigure => ({
    ...learnedName(key, household),
    key,
    before,
    after,
  });
  return [
    ...taught.slice(0, most).map((t) => figure(t.key, t.before.value, t.after.value)),
    ...measured.map((m) => figure(m.key, m.before.mean, m.after.mean)),
  ];
}
