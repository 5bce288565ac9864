import { fileURLToPath, pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import type { MeasureId } from '@tender-crumb/core/book';
import { once } from '../once.ts';

/** Work that is too long for a request. */
export type JobName = 'learn' | 'nightly' | 'plan' | 'look' | 'take' | 'copy' | 'expected';

/** Of which bakes it is asked what was to be expected. */
export interface ExpectedAsked {
  readonly file: string;
  readonly bread: string;
  readonly of: MeasureId;
  readonly newest: number;
}

/** How far a job is. */
export interface JobReport {
  readonly done: number;
  readonly total: number;
}

/** How far a job is with a household's file. */
export interface ArchiveStep {
  readonly doing: string;
  readonly done: number;
  readonly total?: number;
}

/** The worker's file: the server that was built says where, in development it stands beside this. */
function workerFile(): URL {
  const built = process.env['TENDER_CRUMB_WORKER'];
  if (built) return pathToFileURL(built);
  const boot = 'boot.mjs';
  return new URL(boot, import.meta.url);
}

const state = once('jobs', () => ({ running: new Set<Worker>(), ending: false }));

/** Whether the program is on its way out, and begins nothing any more. */
export const isEnding = (): boolean => state.ending;

/**
 * Asks every job to stop where it leaves nothing half done, and waits for it. A thread that is cut off in the middle of a
 * call into the database takes the whole process with it, by a panic of the driver.
 */
export async function endJobs(): Promise<void> {
  state.ending = true;
  await Promise.all(
    [...state.running].map((worker) => {
      worker.ref();
      worker.postMessage('stop');
      return new Promise((gone) => worker.once('exit', gone));
    }),
  );
}

/**
 * Runs a job in a thread of its own, to its end.
 *
 * @throws Error with what the thread died of
 */
export function runJob(
  job: JobName,
  given: unknown,
  report: (what: never) => void = () => {},
  stop?: AbortSignal,
): Promise<void> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(fileURLToPath(workerFile()), { workerData: { job, given } });
    worker.unref();
    state.running.add(worker);
    // Asked, and not ended: what it has open it closes by itself.
    stop?.addEventListener('abort', () => worker.postMessage('stop'), { once: true });
    worker.on('message', (what) => report(what as never));
    worker.once('error', reject);
    worker.once('exit', (code) => {
      state.running.delete(worker);
      if (code === 0) resolve();
      else reject(new Error(`the ${job} thread ended with ${code}`));
    });
  });
}

/**
 * Asks a job for its one answer.
 *
 * @throws Error with what the thread died of
 */
export async function askJob<T>(
  job: JobName,
  given: unknown,
  report: (how: ArchiveStep) => void = () => {},
  stop?: AbortSignal,
): Promise<T> {
  let answer: T | undefined;
  const hear = (said: T | ArchiveStep) => {
    if (typeof said === 'object' && said !== null && 'doing' in said) report(said);
    else answer = said as T;
  };
  await runJob(job, given, hear as (what: never) => void, stop);
  return answer as T;
}
