import { createHash } from 'node:crypto';
import { expect } from 'chai';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import sharp from 'sharp';
import { archiveTableNames, photosDigest } from '../src/lib/server/archive/tables.ts';
import { TestServer } from './server.ts';

export const formula = (name: string, water = 320) => ({
  name,
  stages: [
    {
      lines: [
        { ingredient: 'bread-flour', grams: 500 },
        { ingredient: 'water', grams: water },
        { ingredient: 'salt', grams: 9 },
        { ingredient: 'instant-yeast', grams: 5 },
      ],
    },
  ],
});
export const at = (minute: number) => new Date(Date.UTC(2026, 4, 2, 8, minute)).toISOString();
export const events = (felt: number, note = '') => [
  { id: 'f', at: at(10), kind: 'felt', data: { points: felt } },
  { id: 'o', at: at(20), kind: 'outcome', data: { stars: 4, words: ['dense'], note } },
  { id: 'e', at: at(30), kind: 'finished', data: {} },
];

/** A kitchen with a formula in two versions, a bag, a bake and its photo. */
export async function filled(server: TestServer): Promise<{ bread: string; bake: string }> {
  const bread = (await server.ask('POST', '/api/v1/formulas', formula('Weir loaf'))).json[
    'id'
  ] as string;
  await server.ask('PUT', `/api/v1/formulas/${bread}`, {
    version: 1,
    formula: formula('Weir loaf', 330),
  });
  await server.ask('POST', '/api/v1/bags', { name: 'Blue sack', ingredient: 'bread-flour' });
  const bake = (
    await server.ask('POST', '/api/v1/bakes', {
      formulaId: bread,
      formulaVersion: 2,
      startedAt: at(0),
    })
  ).json['id'] as string;
  await server.ask('POST', `/api/v1/bakes/${bake}/events`, {
    events: events(-6, 'Like a brick, said Ö.'),
  });
  const jpeg = await sharp({
    create: { width: 400, height: 300, channels: 3, background: '#b58a3a' },
  })
    .jpeg()
    .toBuffer();
  await fetch(`${server.url}/api/v1/bakes/${bake}/photos/loaf?step=taste`, {
    method: 'PUT',
    body: new Uint8Array(jpeg),
    headers: { 'content-type': 'image/jpeg' },
  });
  await server.learned();
  return { bread, bake };
}

export const out = async (server: TestServer): Promise<Uint8Array> =>
  new Uint8Array(await (await fetch(`${server.url}/api/v1/kitchen`)).arrayBuffer());

/** Sends a file in pieces, looks at it. */
export async function send(server: TestServer, file: Uint8Array, id = 'file', piece = 100_000) {
  for (let from = 0; from < Math.max(1, file.length); from += piece) {
    const answer = await fetch(`${server.url}/api/v1/kitchen/incoming/${id}?at=${from}`, {
      method: 'PUT',
      body: file.slice(from, from + piece) as BodyInit,
      headers: { 'content-type': 'application/octet-stream' },
    });
    expect(answer.status).to.equal(200);
  }
  return server.ask('GET', `/api/v1/kitchen/incoming/${id}`);
}
export const take = (server: TestServer, stays: 'ours' | 'theirs' = 'ours', id = 'file') =>
  server.ask('POST', `/api/v1/kitchen/incoming/${id}`, { stays });

export type Things = Array<{
  table: string;
  fresh: number;
  same: number;
  other: number;
  orphans: number;
  others: string[];
}>;
export const thing = (json: Record<string, unknown>, table: string) =>
  (json['things'] as Things).find((t) => t.table === table)!;

/** A file of those entries, with the digest that they have: as somebody writes it who means it. */
export function sealed(entries: Record<string, Uint8Array>): Uint8Array {
  const tables = Object.fromEntries(
    archiveTableNames.map((name) => {
      const bytes = entries[`tables/${name}.jsonl`] ?? new Uint8Array();
      const sha256 = createHash('sha256').update(bytes).digest('hex');
      return [name, { rows: bytes.filter((b) => b === 10).length, sha256 }];
    }),
  );
  const pictures = Object.entries(entries)
    .filter(([name]) => name.startsWith('photos/'))
    .map(([name, bytes]) => `${name} ${createHash('sha256').update(bytes).digest('hex')}`);
  return zipSync({
    ...entries,
    'digest.json': strToU8(JSON.stringify({ tables, photos: photosDigest(pictures) })),
  } as Zippable);
}

/** What stands in a file, but for when it was made. */
export function inside(file: Uint8Array): Record<string, string> {
  const { 'tender-crumb.json': manifest, ...rest } = unzipSync(file);
  void manifest;
  return Object.fromEntries(
    Object.entries(rest).map(([name, bytes]) => [
      name,
      name.endsWith('.jpg') ? Buffer.from(bytes).toString('base64') : strFromU8(bytes),
    ]),
  );
}
