import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';

/** Memory of a process that is its own, MB. */
export const residentMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

/**
 * Starts the server; gives its address, how long it took to a first answer, and what ends it. Its folder
 * is its own until it is gone: it writes while it ends.
 */
export async function serve(folder: string) {
  const begun = performance.now();
  const child = spawn(process.execPath, ['apps/web/build/serve.js'], {
    env: {
      ...process.env,
      PORT: '0',
      TENDER_CRUMB_DATA: folder,
      NODE_ENV: 'production',
      LOG_LEVEL: 'silent',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((done) =>
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\/\/[\d.:]+/.exec(chunk.toString());
      if (found) done(found[0]);
    }),
  );
  await (await fetch(url)).text();
  return {
    url,
    pid: child.pid!,
    firstAnswer: performance.now() - begun,
    async end(): Promise<void> {
      if (child.exitCode !== null || child.signalCode !== null) return;
      const gone = new Promise((done) => child.once('exit', done));
      child.kill('SIGTERM');
      await gone;
    },
  };
}

/** Waits until the book is learned; gives how long that took, ms. */
export async function bookLearned(url: string): Promise<number> {
  const begun = performance.now();
  for (;;) {
    const { learned } = (await (await fetch(`${url}/api/v1/learning`)).json()) as {
      learned: boolean;
    };
    if (learned) return performance.now() - begun;
    await new Promise((r) => setTimeout(r, 200));
  }
}
