import { parentPort, workerData } from 'node:worker_threads';
import { backUpNightly } from '../database/backup.ts';
import { connect } from '../database/open.ts';
import { learnWholeBook } from '../store/learn-book.ts';
import { planned, type Question } from '../../plan/planned.ts';
import type { JobName, JobReport } from './job.ts';

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
} satisfies Record<JobName, (given: never) => Promise<void>>;

const { job, given } = workerData as { job: JobName; given: never };
await jobs[job](given);
