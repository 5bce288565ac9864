import { fork } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { ArchiveStep } from '../jobs/job.ts';
import type { Told } from './apart.ts';
import type { FileRead } from './read-page.ts';

/** The process's file: the server that was built has it beside its worker, in development it stands here. */
function apartFile(): string {
  const built = process.env['TENDER_CRUMB_WORKER'];
  const boot = 'apart-boot.mjs';
  return built
    ? join(dirname(built), 'page-reader.js')
    : fileURLToPath(new URL(boot, import.meta.url));
}

/** What came of a file; `stopped` where whoever wanted it wants it no more. */
export type ApartRead = FileRead | { readonly refused: string } | { readonly stopped: true };

/**
 * Reads a file in a process of its own: what a picture does to the libraries that open it, it does there, and all the
 * memory that it took is given back.
 *
 * @throws Error with what the process died of
 */
export function readApart(
  file: string,
  told: (how: ArchiveStep) => void,
  stop: AbortSignal,
): Promise<ApartRead> {
  if (stop.aborted) return Promise.resolve({ stopped: true });
  return new Promise((done, failed) => {
    // What the server was started with, a debugger say, is not for it.
    const child = fork(apartFile(), {
      execArgv: [],
      serialization: 'advanced',
      // The engine grumbles about specks; what went wrong is told by message.
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    });
    const end = () => child.kill('SIGKILL');
    stop.addEventListener('abort', end, { once: true });
    child.on('message', (said) => {
      const what = said as Told;
      if ('doing' in what) told(what);
      else if ('read' in what) done(what.read);
      else if ('refused' in what) done(what);
      else failed(new Error(what.failed));
    });
    child.once('error', failed);
    child.once('exit', (code, signal) => {
      stop.removeEventListener('abort', end);
      if (stop.aborted) done({ stopped: true });
      // Where it has said what came of it, that stands.
      else failed(new Error(`the process that reads ended with ${code ?? signal}`));
    });
    child.send({ file });
  });
}
