import { nightIsDue } from '../database/backup.ts';
import { log } from '../log.ts';
import { runJob } from './job.ts';

const minuteMs = 60_000;
const hourMs = 60 * minuteMs;

/**
 * Copies the data once a day, in a thread of its own: a minute after the start, and then in the first
 * hour of each day. A computer that sleeps at night does it when it wakes.
 *
 * @param firstMs how long after the start it looks first, ms
 * @returns stops it
 */
export function backUpEachNight(file: string, firstMs = minuteMs): () => void {
  const look = async () => {
    if (!nightIsDue(file)) return;
    await runJob('nightly', file).catch((fault: Error) =>
      log.error({ fault: fault.message }, 'the nightly backup was not made'),
    );
  };
  const timer = setInterval(() => void look(), hourMs);
  timer.unref();
  const first = setTimeout(() => void look(), firstMs);
  first.unref();
  return () => {
    clearInterval(timer);
    clearTimeout(first);
  };
}
