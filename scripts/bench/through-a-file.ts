import { open, stat } from 'node:fs/promises';
import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';
import type { Figure } from './measure.ts';

/** A piece that is sent at once, bytes: as the page does. */
const piece = 4 * 1024 * 1024;

const seconds = (since: number): number => Math.round((performance.now() - since) / 100) / 10;

/** Takes everything out into a file. */
export async function everythingOut(url: string, file: string): Promise<Figure> {
  const begun = performance.now();
  const { body } = await fetch(`${url}/api/v1/kitchen`);
  await pipeline(Readable.fromWeb(body as ReadableStream), createWriteStream(file));
  const { size } = await stat(file);
  return {
    measure: 'everything out, into a file',
    median: seconds(begun),
    unit: 's',
    aim: '< 20 s',
    megabytes: Math.round(size / 1e6),
  };
}

/** Takes such a file in: sent in pieces, looked at, taken; without what is learned from it after that. */
export async function takenIn(url: string, file: string): Promise<Figure> {
  const begun = performance.now();
  const to = `${url}/api/v1/kitchen/incoming/bench-file`;
  const { size } = await stat(file);
  const from = await open(file);
  try {
    for (let at = 0; at < size; at += piece) {
      const { buffer, bytesRead } = await from.read(Buffer.alloc(piece), 0, piece, at);
      await answered(
        await fetch(`${to}?at=${at}`, {
          method: 'PUT',
          headers: { 'content-type': 'application/octet-stream' },
          body: buffer.subarray(0, bytesRead),
        }),
      );
    }
  } finally {
    await from.close();
  }
  const sent = seconds(begun);
  await answered(await fetch(to));
  const looked = seconds(begun);
  await answered(
    await fetch(to, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ stays: 'ours' }),
    }),
  );
  return {
    measure: 'everything in, from a file',
    median: seconds(begun),
    unit: 's',
    aim: '< 40 s',
    sent,
    looked,
  };
}

async function answered(response: Response): Promise<void> {
  const text = await response.text();
  if (!response.ok) throw new Error(text);
}
