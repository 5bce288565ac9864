import type { Belief } from '../belief/belief.ts';
import { windowIn } from '../dough/own-window.ts';
import { pantryIn, type Household } from '../household/household.ts';
import { learnedName, type LearnedName } from '../learn/learned-figures.ts';
import type { Lesson } from '../learn/lesson.ts';
import type { StyleId, Window } from '../style/style.ts';
import { lazily } from './lazily.ts';

/** All that is shown of what one bake taught. */
export interface LessonView {
  /** Where its bread is right here. */
  readonly window: Window;
  /** What it taught of a flour, and how that is called. */
  readonly main: Lesson['taught'][number] | undefined;
  readonly named: LearnedName;
  /** What was added, each thing once, with its name. */
  readonly added: ReadonlyArray<{ readonly name: string; readonly grams: number }>;
}

/**
 * What one bake taught, as it is shown.
 *
 * @param belief what is known now, of its bread
 */
export const lessonViewOf = (
  lesson: Lesson,
  style: StyleId,
  household: Household,
  belief: Belief,
): LessonView =>
  lazily<LessonView>({
    window: () =>
      windowIn(style, lesson.dryness ?? 0, { figures: household.figures, belief }).window,
    main: () => lesson.taught.find((t) => t.ingredient !== undefined),
    named: ({ main }) => learnedName(main?.key ?? '', household),
    added: () => {
      const sums = new Map<string, number>();
      for (const { ingredient, grams } of lesson.added)
        sums.set(ingredient, (sums.get(ingredient) ?? 0) + grams);
      return [...sums].map(([ingredient, grams]) => ({
        name: pantryIn(household).ingredient(ingredient).name,
        grams,
      }));
    },
  });
