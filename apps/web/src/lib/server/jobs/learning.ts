import type { Database } from '../database/open.ts';
import { log } from '../log.ts';
import { isBookLearned } from '../store/learning.ts';
import { isEnding, runJob, type JobReport } from './job.ts';

/** Where learning the book again stands. */
export type LearningState = { readonly learned: boolean } & Partial<JobReport>;

let running: Promise<void> | undefined;
let progress: JobReport | undefined;

/**
 * Sees to it that the book is learned again where that is wanted: one thread at a time, and nobody
 * waits for it. What was not finished, the next call or the next start takes up.
 */
export async function learnSoon(db: Database, file: string): Promise<void> {
  if (running || isEnding() || (await isBookLearned(db))) return;
  running ??= runJob('learn', file, (how: JobReport) => (progress = how)).then(
    () => ended(db, file),
    (fault: Error) => {
      log.error({ fault: fault.message }, 'the book was not learned again');
      running = undefined;
    },
  );
}

/** What was wanted while the thread was ending would otherwise wait for the next change. */
async function ended(db: Database, file: string): Promise<void> {
  running = undefined;
  progress = undefined;
  await learnSoon(db, file).catch(() => undefined);
}

/** How far it is. */
export async function learningState(db: Database): Promise<LearningState> {
  const learned = await isBookLearned(db);
  return { learned, ...(learned ? {} : progress) };
}
