import { measureOf, type MeasureId } from './measures.ts';

/** What a chart of the book is drawn along: the calendar, or another measure. */
export type Along = 'day' | MeasureId;

/** A question that a chart answers. */
interface Question {
  readonly asks: string;
  readonly of: MeasureId;
  readonly along: Along;
}

/** Questions that bakers ask first; any other is put together from two measures. */
export const questions: readonly Question[] = [
  { asks: 'Do the forecasts hold?', of: 'felt', along: 'day' },
  { asks: 'Where does this bread come out best?', of: 'stars', along: 'felt' },
  { asks: 'Does it get better?', of: 'stars', along: 'day' },
  { asks: 'Does the dough follow the air?', of: 'felt', along: 'humidity' },
  { asks: 'Is it slower in a cold room?', of: 'firstRise', along: 'air' },
  { asks: 'Does a warmer dough rise faster?', of: 'firstRise', along: 'doughWarmth' },
  { asks: 'Does a longer proof give a taller loaf?', of: 'height', along: 'finalProof' },
];

/**
 * The question that a chart of two measures answers.
 *
 * @example questionOf('firstRise', 'air').asks // 'Is it slower in a cold room?'
 * @example questionOf('loss', 'inOven').asks // 'Does “lost in the oven” go with “in the oven”?'
 */
export function questionOf(of: MeasureId, along: Along): Question {
  const known = questions.find((q) => q.of === of && q.along === along);
  if (known) return known;
  const { says } = measureOf(of);
  return {
    asks:
      along === 'day'
        ? `Over the year: ${says}?`
        : `Does “${says}” go with “${measureOf(along).says}”?`,
    of,
    along,
  };
}
