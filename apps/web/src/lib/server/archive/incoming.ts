import {
  closeSync,
  createWriteStream,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { askJob, type ArchiveStep } from '../jobs/job.ts';
import { once } from '../once.ts';
import { learnSoon } from '../jobs/learning.ts';
import type { Database } from '../database/open.ts';
import { Problem } from '../problem.ts';
import type { ArchiveLook, Stays } from './take.ts';

/** A file that is sent may be so large, bytes. */
export const largestArchive = 4 * 1024 ** 3;
/** What was sent and not taken is let go of after so long. */
const keptMs = 24 * 3_600_000;

const folderOf = (database: string): string => join(dirname(database), 'incoming');
const zipOf = (database: string, id: string): string => join(folderOf(database), `${id}.zip`);
const unpackedOf = (database: string, id: string): string => join(folderOf(database), id);

/** Lets go of what was sent long ago: by the machine's clock, which the files' times are of. */
// eslint-disable-next-line no-restricted-syntax
function tidy(database: string, now = Date.now()): void {
  const folder = folderOf(database);
  if (!existsSync(folder)) return;
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (now - statSync(path).mtimeMs > keptMs) rmSync(path, { recursive: true, force: true });
  }
}

/**
 * One more piece of a file that is being sent. A piece that is here already is passed over, so that a sending that
 * broke off goes on where it was.
 *
 * @param at bytes before it
 * @returns bytes that are here now
 */
export async function takePiece(
  database: string,
  id: string,
  at: number,
  body: ReadableStream<Uint8Array> | null,
): Promise<number> {
  mkdirSync(folderOf(database), { recursive: true, mode: 0o700 });
  if (at === 0) {
    tidy(database);
    discard(database, id);
  }
  const file = zipOf(database, id);
  const here = statSync(file, { throwIfNoEntry: false })?.size ?? 0;
  if (at < here) return here;
  if (at > here)
    throw new Problem(409, 'A piece is missing', [
      { where: 'query.at', what: `${here} bytes are here` },
    ]);
  // An empty file is one too, and is told so when it is looked at.
  closeSync(openSync(file, 'a', 0o600));
  if (body)
    await pipeline(
      Readable.fromWeb(body as never),
      createWriteStream(file, { flags: 'a', mode: 0o600 }),
    );
  const size = statSync(file, { throwIfNoEntry: false })?.size ?? 0;
  if (size > largestArchive) {
    discard(database, id);
    throw new Problem(413, 'Larger than any household', [{ where: 'body', what: 'over 4 GB' }]);
  }
  return size;
}

/** What is being done with files just now, by their ids. */
const working = once(
  'incoming',
  () => new Map<string, { how: ArchiveStep; stop: AbortController }>(),
);

/** How far the work on a file is; undefined where none is under way. */
export const workOn = (id: string): ArchiveStep | undefined => working.get(id)?.how;

/** Lets go of a file that was sent; work on it is stopped. */
export function discard(database: string, id: string): void {
  working.get(id)?.stop.abort();
  rmSync(zipOf(database, id), { force: true });
  rmSync(unpackedOf(database, id), { recursive: true, force: true });
}

const gone = () =>
  new Problem(404, 'That file is not here any more', [{ where: 'path', what: 'send it again' }]);
const refusedAs = (says: string) =>
  new Problem(422, 'This file is not taken', [{ where: 'body', what: says }]);

/** Runs one job on a file at a time. */
async function work<T extends object>(
  job: 'look' | 'take',
  id: string,
  given: object,
): Promise<T | { refused: string }> {
  if (working.has(id))
    throw new Problem(409, 'It is being looked at', [{ where: 'path', what: 'wait, or stop it' }]);
  const entry = {
    how: { doing: 'Beginning', done: 0 } as ArchiveStep,
    stop: new AbortController(),
  };
  working.set(id, entry);
  try {
    return await askJob(job, given, (how) => (entry.how = how), entry.stop.signal);
  } finally {
    working.delete(id);
  }
}

/** Stands in the folder of a file once it was looked at and rehearsed. */
const lookedMark = 'looked';

/** What would come of a file that was sent: looked at row by row, and rehearsed on a copy. */
export async function lookInto(database: string, id: string): Promise<ArchiveLook> {
  if (!existsSync(zipOf(database, id))) throw gone();
  const folder = unpackedOf(database, id);
  const answer = await work<{ look: ArchiveLook }>('look', id, {
    file: database,
    zip: zipOf(database, id),
    folder,
  });
  if ('refused' in answer) {
    discard(database, id);
    throw refusedAs(answer.refused);
  }
  writeFileSync(join(folder, lookedMark), '');
  return answer.look;
}

/** Takes a file that was looked at. */
export async function takeIn(
  db: Database,
  database: string,
  id: string,
  stays: Stays,
): Promise<number> {
  const folder = unpackedOf(database, id);
  if (!existsSync(join(folder, lookedMark))) throw gone();
  const answer = await work<{ came: number }>('take', id, { file: database, folder, stays });
  if ('refused' in answer) throw refusedAs(answer.refused);
  discard(database, id);
  await learnSoon(db, database);
  return answer.came;
}
