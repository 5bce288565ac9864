import { parentPort, workerData } from 'node:worker_threads';
import { backUpNightly } from '../database/backup.ts';
import { connect } from '../database/open.ts';
import { learnWholeBook } from '../store/learn-book.ts';
import type { JobName, JobReport } from './job.ts';

/** What runs beside the server. Each has the file to itself as any other client has. */
const jobs: Readonly<Record<JobName, (file: string) => Promise<void>>> = {
  async learn(file) {
    const db = connect(file);
    try {
      await learnWholeBook(db, (done, total) => {
        parentPort!.postMessage({ done, total } satisfies JobReport);
      });
    } finally {
      await db.destroy();
    }
  },
  async nightly(file) {
    backUpNightly(file);
  },
};

const { job, file } = workerData as { job: JobName; file: string };
await jobs[job](file);
