import { fileURLToPath, pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';

/** Work that is too long for a request. */
export type JobName = 'learn' | 'nightly' | 'plan' | 'look' | 'take' | 'copy';

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
    // Asked, and not ended: what it has open it closes by itself.
    stop?.addEventListener('abort', () => worker.postMessage('stop'), { once: true });
    worker.on('message', (what) => report(what as never));
    worker.once('error', reject);
    worker.once('exit', (code) =>
      code === 0 ? resolve() : reject(new Error(`the ${job} thread ended with ${code}`)),
    );
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
