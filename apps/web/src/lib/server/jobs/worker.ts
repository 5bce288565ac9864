import { setImmediate } from 'node:timers/promises';
import { parentPort, workerData } from 'node:worker_threads';
import { bakeRecord, expectedOf } from '@tender-crumb/core/book';
import { forBread } from '@tender-crumb/core/learn';
import { timedPlan, type PlanQuestion } from '@tender-crumb/core/schedule';
import { backUpNightly, copyWhole } from '../database/backup.ts';
import { connect } from '../database/open.ts';
import { learnWholeBook } from '../store/learn-book.ts';
import { ArchiveRefused, Stopped } from '../archive/refused.ts';
import { rehearse } from '../archive/rehearse.ts';
import { unpack } from '../archive/unpack.ts';
import { lookAt, takeArchive, type Stays, type Step } from '../archive/take.ts';
import { bookEntries } from '../store/book-entries.ts';
import { readBelief } from '../store/belief.ts';
import { readHousehold } from '../store/household.ts';
import { photoFolder } from '../store/picture-files.ts';
import type { ArchiveStep, ExpectedAsked, JobName, JobReport } from './job.ts';

let stopped = false;
parentPort!.on('message', (word) => {
  if (word === 'stop') stopped = true;
});
// Hearing it is no reason to go on living.
parentPort!.unref();

/** Tells how far it is now and then, and hears whether it is to stop: only where nothing is left half done. */
const stepping = (): Step => {
  let told = 0;
  return async (doing, done, total) => {
    if (performance.now() - told > 200) {
      told = performance.now();
      parentPort!.postMessage({ doing, done, ...(total ? { total } : {}) } satisfies ArchiveStep);
      await setImmediate();
    }
    if (stopped) throw new Stopped();
  };
};

/** Answers with what came of a household's file, or why it is not taken. */
async function withArchive(
  file: string,
  work: (db: ReturnType<typeof connect>) => Promise<object>,
): Promise<void> {
  const db = connect(file);
  try {
    parentPort!.postMessage(await work(db));
  } catch (fault) {
    if (!(fault instanceof ArchiveRefused)) throw fault;
    parentPort!.postMessage({ refused: fault.message });
  } finally {
    await db.destroy();
  }
}

/** What runs beside the server. Each has the file to itself as any other client has. */
const jobs = {
  async learn(file: string) {
    const db = connect(file);
    try {
      await learnWholeBook(db, async (done, total) => {
        parentPort!.postMessage({ done, total } satisfies JobReport);
        await setImmediate();
        if (stopped) throw new Stopped();
      });
    } catch (thrown) {
      // The next start takes it up.
      if (!(thrown instanceof Stopped)) throw thrown;
    } finally {
      await db.destroy();
    }
  },
  async nightly(file: string) {
    backUpNightly(file);
  },
  async copy({ file, to }: { file: string; to: string }) {
    copyWhole(file, to);
  },
  async plan(question: PlanQuestion) {
    parentPort!.postMessage(timedPlan(question));
  },
  async expected({ file, bread, of, newest }: ExpectedAsked) {
    const db = connect(file);
    try {
      const [entries, household, { belief }] = await Promise.all([
        bookEntries(db, { bread, newest }),
        readHousehold(db),
        readBelief(db),
      ]);
      const known = forBread(belief, bread);
      parentPort!.postMessage(
        Object.fromEntries(
          entries.flatMap((entry) => {
            const expected = expectedOf(of, bakeRecord(entry, household), household, known);
            return expected ? [[entry.id, expected] as const] : [];
          }),
        ),
      );
    } finally {
      await db.destroy();
    }
  },
  async look({ file, zip, folder }: { file: string; zip: string; folder: string }) {
    await withArchive(file, async (db) => {
      const step = stepping();
      await unpack(zip, folder, (done, total) => step('Unpacking it', done, total));
      const look = await lookAt(db, folder, step);
      await rehearse(file, folder, step);
      return { look };
    });
  },
  async take({ file, folder, stays }: { file: string; folder: string; stays: Stays }) {
    await withArchive(file, async (db) => ({
      came: await takeArchive(db, folder, photoFolder(file), stays, stepping()),
    }));
  },
} satisfies Record<JobName, (given: never) => Promise<void>>;

const { job, given } = workerData as { job: JobName; given: never };
await jobs[job](given);
