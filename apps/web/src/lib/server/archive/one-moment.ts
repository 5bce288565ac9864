import { nanoid } from 'nanoid';
import { mkdirSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { connect } from '../database/open.ts';
import { runJob } from '../jobs/job.ts';
import { photoFolder } from '../store/picture-files.ts';
import { archiveStream } from './write.ts';

/**
 * The whole household as one zip, of one moment: what is written while it streams is not in it. It is read from a copy
 * that a thread makes beside the server, and that is gone when the stream is.
 *
 * @param file the household's database
 */
export async function archiveOfNow(file: string): Promise<ReadableStream<Uint8Array>> {
  const folder = join(dirname(file), 'incoming');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const copy = join(folder, `out-${nanoid()}.db`);
  const drop = () => {
    for (const part of ['', '-wal', '-shm']) rmSync(copy + part, { force: true });
  };
  try {
    await runJob('copy', { file, to: copy });
  } catch (fault) {
    drop();
    throw fault;
  }
  const db = connect(copy);
  const source = archiveStream(db, photoFolder(file)).getReader();
  const end = async () => {
    await db.destroy();
    drop();
  };
  return new ReadableStream<Uint8Array>(
    {
      async pull(controller) {
        try {
          const { done, value } = await source.read();
          if (!done) {
            controller.enqueue(value);
            return;
          }
          await end();
          controller.close();
        } catch (fault) {
          await end();
          controller.error(fault);
        }
      },
      async cancel() {
        await source.cancel().catch(() => undefined);
        await end();
      },
    },
    { highWaterMark: 2 },
  );
}
