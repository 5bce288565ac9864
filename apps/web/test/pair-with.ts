import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { TestServer } from './server.ts';

/** The code that a server told on its terminal, the newest. */
export const codeOf = (server: TestServer) =>
  server.said.match(/[A-Z0-9]{4}-[A-Z0-9]{4}/g)!.at(-1)!;

/** Pairs a device, as its browser does. */
export async function pairWith(server: TestServer, name: string, code = codeOf(server)) {
  const response = await fetch(`${server.url}/pair`, {
    method: 'POST',
    redirect: 'manual',
    headers: { origin: server.url, accept: 'text/html' },
    body: new URLSearchParams({ code, name, to: '/' }),
  });
  return {
    status: response.status,
    cookie: (response.headers.get('set-cookie') ?? '').split(';')[0]!,
  };
}

/** Ids of the devices that are let in, by their names. */
export function deviceIds(server: TestServer): Readonly<Record<string, string>> {
  const file = join(server.folder, 'own', 'doors.json');
  const { devices } = JSON.parse(readFileSync(file, 'utf8')) as {
    devices: Array<{ id: string; name: string }>;
  };
  return Object.fromEntries(devices.map(({ id, name }) => [name, id]));
}
