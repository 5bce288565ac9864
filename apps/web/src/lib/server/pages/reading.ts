import type { ScannedPage } from '@tender-crumb/core/picture';
import { mkdir, rm, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { photoBytes } from '../boundary/picture.ts';
import type { Database } from '../database/open.ts';
import type { ArchiveStep } from '../jobs/job.ts';
import { once } from '../once.ts';
import { Problem } from '../problem.ts';
import { keepPage, readPageOf, tidyPages } from '../store/pages.ts';
import { digestOf } from '../store/photos.ts';
import { photoFolder } from '../store/picture-files.ts';
import type { FileRead } from './read-page.ts';
import { readApart } from './read-apart.ts';

/** Files that wait to be read, one after another: more at once would be slower for each. */
const mostWaiting = 12;

const state = once('pages', () => ({
  last: Promise.resolve() as Promise<unknown>,
  working: new Map<string, { how: ArchiveStep; stop: AbortController }>(),
}));

const refused = (status: number, what: string) =>
  new Problem(status, 'Not read', [{ where: 'body', what }]);

/** How far the reading of a file is; undefined where none is under way. */
export const readingOf = (id: string): ArchiveStep | undefined => state.working.get(id)?.how;

/** Stops the reading of a file, if it is under way. */
export const stopReading = (id: string): void => state.working.get(id)?.stop.abort();

async function readNow(
  file: string,
  entry: { how: ArchiveStep; stop: AbortController },
  bytes: Uint8Array,
): Promise<FileRead> {
  if (entry.stop.signal.aborted) throw refused(409, 'it was stopped');
  await mkdir(dirname(file), { recursive: true, mode: 0o700 });
  await writeFile(file, bytes, { mode: 0o600 });
  try {
    const answer = await readApart(file, (how) => (entry.how = how), entry.stop.signal);
    if ('stopped' in answer) throw refused(409, 'it was stopped');
    if ('refused' in answer) throw refused(422, answer.refused);
    return answer;
  } finally {
    await rm(file, { force: true });
  }
}

/**
 * Reads a file that is sent, and keeps its picture: one at a time, beside the server. The same sent twice is read once.
 *
 * @param id its own, of whoever sends it
 * @throws Problem with why it is not read, in words
 */
export async function readSent(
  db: Database,
  database: string,
  id: string,
  request: Request,
): Promise<ScannedPage> {
  const bytes = await photoBytes(request);
  const digest = digestOf(bytes);
  const known = await readPageOf(db, id);
  if (known) {
    const { digest: before, ...page } = known;
    if (before !== digest) throw refused(409, 'another picture has that id');
    return page;
  }
  if (state.working.has(id)) throw refused(409, 'it is being read');
  if (state.working.size >= mostWaiting)
    throw refused(503, 'too many at once: sent again in a moment, it is read');
  const entry = { how: { doing: 'Waiting its turn', done: 0 }, stop: new AbortController() };
  state.working.set(id, entry);
  // Whoever closes the page wants it no more.
  request.signal.addEventListener('abort', () => entry.stop.abort(), { once: true });
  const file = join(dirname(database), 'incoming', `page-${id}`);
  const mine = state.last.then(() => readNow(file, entry, bytes));
  state.last = mine.catch(() => undefined);
  try {
    const read = await mine;
    if (!('kept' in read)) return { rows: read.rows };
    const { kept, small, width, height, rows } = read;
    const folder = photoFolder(database);
    await tidyPages(db, folder);
    await keepPage(db, folder, { id, width, height, rows }, digest, { kept, small });
    return { id, width, height, rows };
  } finally {
    state.working.delete(id);
  }
}
