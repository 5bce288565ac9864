import type { Database } from '../database/open.ts';
import { log } from '../log.ts';
import { isBookLearned } from '../store/learning.ts';
import { runJob, type JobReport } from './job.ts';

/** Where learning the book again stands. */
export type LearningState = { readonly learned: boolean } & Partial<JobReport>;

let running: Promise<void> | undefined;
let progress: JobReport | undefined;

/**
 * Sees to it that the book is learned again where that is wanted: one thread at a time, and nobody
 * waits for it. What was not finished, the next call or the next start takes up.
 */
export async function learnSoon(db: Database, file: string): Promise<void> {
  if (running || (await isBookLearned(db))) return;
  running ??= runJob('learn', file, (how) => (progress = how))
    .catch((fault: Error) => log.error({ fault: fault.message }, 'the book was not learned again'))
    .finally(() => {
      running = undefined;
      progress = undefined;
    });
}

/** How far it is. */
export async function learningState(db: Database): Promise<LearningState> {
  const learned = await isBookLearned(db);
  return { learned, ...(learned ? {} : progress) };
}

/** For an orderly end: a thread that has begun may end, but nobody waits long for it. */
export const learningEnds = (): Promise<void> => running ?? Promise.resolve();
