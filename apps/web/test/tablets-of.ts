import sharp from 'sharp';
import { deviceIds, pairWith } from './pair-with.ts';
import type { TestServer } from './server.ts';
import { Tablet } from './tablet.ts';

/** Where whoever asks from this machine is at home. */
export const atHome = { TENDER_CRUMB_PROXY: '0' };

/**
 * Starts a server with two tablets that were paired with it. What this process asks for by a path alone, it asks that
 * server for, as a page does.
 *
 * @returns the tablets, and an end to that
 */
export async function tabletsOf(
  server: TestServer,
): Promise<{ readonly tablets: readonly Tablet[]; readonly end: () => void }> {
  await server.start({ TENDER_CRUMB_PROXY: '1' });
  const { fetch: real } = globalThis;
  const photo = await sharp({
    create: { width: 40, height: 30, channels: 3, background: '#b58a3a' },
  })
    .jpeg()
    .toBuffer();
  const tablets: Tablet[] = [];
  for (const name of ['kitchen', 'hall']) {
    await pairWith(server, name);
    tablets.push(new Tablet(name, deviceIds(server)[name]!, new Uint8Array(photo).buffer));
  }
  await server.kill('SIGTERM');
  await server.start(atHome);
  globalThis.fetch = ((path: string, init: RequestInit) =>
    real(path.startsWith('/') ? `${server.url}${path}` : path, init)) as typeof fetch;
  return { tablets, end: () => void (globalThis.fetch = real) };
}
