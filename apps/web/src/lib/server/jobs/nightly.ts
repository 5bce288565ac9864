import { nightIsDue } from '../database/backup.ts';
import { log } from '../log.ts';
import { runJob } from './job.ts';

const hourMs = 3_600_000;

/**
 * Copies the data once a day, in a thread of its own: an hour after the start at the latest, and then
 * in the first hour of each day. A computer that sleeps at night does it when it wakes.
 *
 * @returns stops it
 */
export function backUpEachNight(file: string): () => void {
  const look = async () => {
    if (!nightIsDue(file)) return;
    await runJob('nightly', file).catch((fault: Error) =>
      log.error({ fault: fault.message }, 'the nightly backup was not made'),
    );
  };
  const timer = setInterval(() => void look(), hourMs);
  timer.unref();
  const first = setTimeout(() => void look(), 60_000);
  first.unref();
  return () => {
    clearInterval(timer);
    clearTimeout(first);
  };
}
