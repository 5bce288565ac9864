import { practiceDoughs, stillLoose, type Round } from './round.ts';

/** One point of what a dough does while it is watched. */
export interface Watched {
  readonly minute: number;
  /** Points of the level as it feels; for a proof how far it is, 1 being ripe. */
  readonly at: number;
}

const steps = 24;

/**
 * What a practice dough does over time, as it is shown once it was called: a dough in the bowl tightens while its
 * slow flour drinks, a loaf goes on rising.
 *
 * @example watchedCourse(practiceRound('knead', 7)).length // 25
 */
export function watchedCourse(round: Round): Watched[] {
  const { lesson, truth, minute, dough } = round;
  const last = lesson === 'knead' ? 40 : Math.max(minute, minute / truth) * 1.25;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const at = (last * i) / steps;
    return lesson === 'knead'
      ? {
          minute: at,
          at: truth + stillLoose(practiceDoughs[dough].slow, at),
        }
      : // It wakes slowly, runs, and slackens as its food and its strength go.
        { minute: at, at: Math.min(1.6, truth * (at / minute) ** 1.25) };
  });
}
