import { parentPort, workerData } from 'node:worker_threads';
import { backUpNightly } from '../database/backup.ts';
import { connect } from '../database/open.ts';
import { learnWholeBook } from '../store/learn-book.ts';
import { ArchiveRefused, unpack } from '../archive/unpack.ts';
import { lookAt, takeArchive, type Stays } from '../archive/take.ts';
import { photoFolder } from '../store/photos.ts';
import { planned, type Question } from '../../plan/planned.ts';
import type { JobName, JobReport } from './job.ts';

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
      await learnWholeBook(db, (done, total) => {
        parentPort!.postMessage({ done, total } satisfies JobReport);
      });
    } finally {
      await db.destroy();
    }
  },
  async nightly(file: string) {
    backUpNightly(file);
  },
  async plan(question: Question) {
    parentPort!.postMessage(planned(question));
  },
  async look({ file, zip, folder }: { file: string; zip: string; folder: string }) {
    await withArchive(file, async (db) => {
      await unpack(zip, folder);
      return { look: await lookAt(db, folder) };
    });
  },
  async take({ file, folder, stays }: { file: string; folder: string; stays: Stays }) {
    await withArchive(file, async (db) => ({
      came: await takeArchive(db, folder, photoFolder(file), stays),
    }));
  },
} satisfies Record<JobName, (given: never) => Promise<void>>;

const { job, given } = workerData as { job: JobName; given: never };
await jobs[job](given);
