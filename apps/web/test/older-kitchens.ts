import { houseQuestionIds } from '@tender-crumb/core/household';
import { expect } from 'chai';
import { copyFileSync, mkdirSync, readdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { TestServer } from './server.ts';

const fixtures = resolve('apps/web/test/fixtures');
export const olderKitchens = readdirSync(fixtures).filter((n) => n.endsWith('.db'));
/** The oldest, the largest, one that never settled anything, and the latest: what somebody waits for. */
export const telling: readonly string[] = [
  'own-2026-11.db',
  'demo-2026-11.db',
  'ninth-2026-11.db',
  'tenth-2026-11.db',
];

/** Opens a kitchen of an earlier version, takes everything out of it, and takes that into an empty one. */
export async function comesThrough(name: string): Promise<void> {
  const old = new TestServer();
  const empty = new TestServer();
  mkdirSync(join(old.folder, 'own'), { recursive: true });
  copyFileSync(join(fixtures, name), old.file);
  try {
    await Promise.all([old.start(), empty.start()]);
    await old.learned();
    // What a kitchen of before never was asked, it is not asked now; an empty one is.
    const settled = async (server: TestServer) =>
      (await server.ask('GET', '/api/v1/household')).json['settled'];
    expect(await settled(empty)).to.deep.equal([]);
    expect(await settled(old)).to.deep.equal(houseQuestionIds);
    const out = await (await fetch(`${old.url}/api/v1/kitchen`)).arrayBuffer();
    await fetch(`${empty.url}/api/v1/kitchen/incoming/old?at=0`, {
      method: 'PUT',
      body: out,
      headers: { 'content-type': 'application/octet-stream' },
    });
    const looked = await empty.ask('GET', '/api/v1/kitchen/incoming/old');
    expect(looked.status, JSON.stringify(looked.json)).to.equal(200);
    for (const thing of looked.json['things'] as Array<{ orphans: number; table: string }>)
      expect(thing.orphans, thing.table).to.equal(0);
    const taken = await empty.ask('POST', '/api/v1/kitchen/incoming/old', { stays: 'ours' });
    expect(taken.status, JSON.stringify(taken.json)).to.equal(200);
    const count = async (server: TestServer, path: string) =>
      (await server.ask('GET', path)).json['total'] as number;
    for (const path of ['/api/v1/formulas', '/api/v1/bakes'])
      expect(await count(empty, path), path).to.equal(await count(old, path));
  } finally {
    await Promise.all([old.end(), empty.end()]);
  }
}
