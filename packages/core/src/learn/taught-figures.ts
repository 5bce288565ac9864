import type { Household } from '../household/household.ts';
import { learnedName, type LearnedName } from './learned-figures.ts';
import type { Lesson } from './lesson.ts';

/** A figure that a bake moved: how it is called, what it was, what it is. */
interface TaughtFigure extends LearnedName {
  readonly key: string;
  readonly before: number;
  readonly after: number;
}

/**
 * What a bake taught, as it is read: of its dough what moved most, and all that moved of what it measured beside.
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
  // What reads the same before and after was made surer, and that is no news.
  const moved = ({ text, before, after }: TaughtFigure) => text(before) !== text(after);
  return [
    ...taught
      .map((t) => figure(t.key, t.before.value, t.after.value))
      .filter(moved)
      .slice(0, most),
    ...measured.map((m) => figure(m.key, m.before.mean, m.after.mean)).filter(moved),
  ];
}
