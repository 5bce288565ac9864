import { expect } from 'chai';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { faultOf } from '../src/lib/server/archive/described.ts';
import { ArchiveRefused } from '../src/lib/server/archive/refused.ts';
import { checkDigest, checkManifest } from '../src/lib/server/archive/rows.ts';
import {
  archiveTableNames,
  photosDigest,
  tableEntry,
  type ArchiveTableName,
  type Row,
} from '../src/lib/server/archive/tables.ts';
import { unpack } from '../src/lib/server/archive/unpack.ts';
import { seededRandom } from '@tender-crumb/core/quantity';
import { TestServer } from './server.ts';

/** So many of its bakes: each trial reads the whole file. */
const bakesKept = 15;

/** A kitchen with fewer bakes, whole in itself, with the digest that it has. */
function fewer(whole: Uint8Array): Uint8Array {
  const entries = unzipSync(whole);
  const rowsOf = (name: ArchiveTableName): Row[] =>
    strFromU8(entries[tableEntry(name)] ?? new Uint8Array())
      .split('\n')
      .filter(Boolean)
      .map((line) => JSON.parse(line) as Row);
  const bakes = new Set(
    rowsOf('bake')
      .slice(0, bakesKept)
      .map((b) => b['id']),
  );
  const tables: Record<string, { rows: number; sha256: string }> = {};
  for (const name of archiveTableNames) {
    const rows = rowsOf(name).filter((row) =>
      name === 'bake'
        ? bakes.has(row['id'])
        : !('bake_id' in row) || row['bake_id'] === null || bakes.has(row['bake_id']),
    );
    const few = name === 'feeding' ? rows.slice(0, 20) : rows;
    const bytes = strToU8(few.map((row) => `${JSON.stringify(row)}\n`).join(''));
    entries[tableEntry(name)] = bytes;
    tables[name] = { rows: few.length, sha256: createHash('sha256').update(bytes).digest('hex') };
  }
  const photos = Object.keys(entries).filter((name) => name.startsWith('photos/'));
  for (const name of photos.slice(2)) delete entries[name];
  delete entries['bakes.csv'];
  delete entries['lines.csv'];
  const pictures = Object.entries(entries)
    .filter(([name]) => name.startsWith('photos/'))
    .map(([name, bytes]) => `${name} ${createHash('sha256').update(bytes).digest('hex')}`);
  entries['digest.json'] = strToU8(JSON.stringify({ tables, photos: photosDigest(pictures) }));
  return zipSync(entries as Zippable, { level: 6 });
}

const demo = new TestServer();
let file: Uint8Array;
before(async () => {
  await demo.start({ TENDER_CRUMB_DEMO: '1' });
  await demo.learned();
  file = fewer(new Uint8Array(await (await fetch(`${demo.url}/api/v1/kitchen`)).arrayBuffer()));
});
after(() => demo.end());

/** Everything that a folder holds, by its path. */
function contents(folder: string): string {
  const hash = createHash('sha256');
  for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' }).sort()) {
    const path = join(folder, name);
    try {
      hash.update(name).update(readFileSync(path));
    } catch {
      // A folder.
    }
  }
  return hash.digest('hex');
}

describe('a file with one flipped bit, 2,000 times', () => {
  it('is refused, or holds what it held: never other contents', async () => {
    const small = file;
    const place = mkdtempSync(join(tmpdir(), 'tender-crumb-flips-'));
    const zip = join(place, 'file.zip');
    const read = async (bytes: Uint8Array): Promise<string | undefined> => {
      writeFileSync(zip, bytes);
      const folder = join(place, 'unpacked');
      try {
        await unpack(zip, folder);
        await checkDigest(folder, (await checkManifest(folder)).format);
        return contents(folder);
      } catch (fault) {
        if (!(fault instanceof ArchiveRefused)) throw fault;
        return undefined;
      }
    };
    try {
      const whole = await read(small);
      expect(whole).to.not.equal(undefined);
      const random = seededRandom(22);
      let refused = 0;
      let same = 0;
      for (let i = 0; i < 2000; i += 1) {
        const bent = small.slice();
        const at = Math.floor(random() * bent.length);
        bent[at] = bent[at]! ^ (1 << Math.floor(random() * 8));
        const got = await read(bent);
        if (got === undefined) refused += 1;
        else {
          expect(got, `bit at ${at}`).to.equal(whole);
          same += 1;
        }
      }
      console.log(`      refused ${refused}, the same contents ${same}, other contents 0`);
      expect(refused).to.be.greaterThan(1800);
    } finally {
      rmSync(place, { recursive: true, force: true });
    }
  });
});

/** What stands where something else should. */
const nonsense: readonly unknown[] = [
  null,
  {},
  [],
  '',
  ' ',
  'x',
  'x'.repeat(5000),
  -1,
  0,
  0.5,
  1e308,
  -1e308,
  2 ** 53,
  true,
  [[]],
  { a: 1 },
  'own-nothing',
  '2026-13-45',
  '9999-12-31T23:59:59Z',
  '1'.repeat(400),
  '\u202e',
  '__proto__',
];

/** Every place in a value, as a path. */
function* places(
  value: unknown,
  path: ReadonlyArray<string | number> = [],
): Generator<typeof path> {
  yield path;
  if (typeof value !== 'object' || value === null) return;
  for (const [key, inner] of Object.entries(value))
    yield* places(inner, [...path, Array.isArray(value) ? Number(key) : key]);
}

/** A value with something else in one place. */
function bentAt(
  value: unknown,
  [head, ...rest]: ReadonlyArray<string | number>,
  by: unknown,
): unknown {
  if (head === undefined) return by;
  if (Array.isArray(value))
    return value.map((v, i) => (i === head ? bentAt(v, rest, by) : v) as unknown);
  return {
    ...(value as object),
    [head]: bentAt((value as Record<string, unknown>)[head], rest, by),
  };
}

const jsonIn = new Set(['value', 'label', 'facts', 'body', 'outcome', 'forecast', 'data']);

describe('rows broken at one field, 1,000 times', () => {
  it('are refused in words, or break no page: no answer of 500 or more', async () => {
    const random = seededRandom(23);
    const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!;
    const entries = unzipSync(file);
    const rows = Object.fromEntries(
      archiveTableNames.map((name) => [
        name,
        strFromU8(entries[tableEntry(name)] ?? new Uint8Array())
          .split('\n')
          .filter(Boolean)
          .map((line) => JSON.parse(line) as Row),
      ]),
    ) as Record<ArchiveTableName, Row[]>;
    const tables = archiveTableNames.filter((name) => rows[name].length > 0);

    interface Broken {
      readonly table: ArchiveTableName;
      readonly at: number;
      readonly row: Row;
      readonly what: string;
    }
    const letIn: Broken[] = [];
    let refused = 0;
    for (let i = 0; i < 1000; i += 1) {
      const table = pick(tables);
      const at = Math.floor(random() * rows[table].length);
      const row = rows[table][at]!;
      const column = pick(Object.keys(row));
      const by = pick(nonsense);
      const bend = (): unknown => {
        if (!jsonIn.has(column) || row[column] === null) return by;
        const value = JSON.parse(String(row[column])) as unknown;
        return JSON.stringify(bentAt(value, pick([...places(value)]), by));
      };
      const bent = { ...row, [column]: bend() } as Row;
      const fault =
        Object.values(bent).some(
          (v) => v !== null && typeof v !== 'string' && typeof v !== 'number',
        ) || faultOf(table, bent);
      if (fault) refused += 1;
      else
        letIn.push({
          table,
          at,
          row: bent,
          what: `${table}.${column}: ${JSON.stringify(by)?.slice(0, 40)}`,
        });
    }

    const archiveWith = (broken: readonly Broken[]): Uint8Array => {
      const own: Record<string, Uint8Array> = {
        'tender-crumb.json': strToU8('{"program":"tender-crumb","format":1}'),
      };
      for (const name of archiveTableNames) {
        const bent = rows[name].map(
          (row, i) => broken.find((b) => b.table === name && b.at === i)?.row ?? row,
        );
        own[tableEntry(name)] = strToU8(bent.map((row) => `${JSON.stringify(row)}\n`).join(''));
      }
      return zipSync(own as Zippable);
    };

    let rehearsed = 0;
    const faults: string[] = [];
    let n = 0;
    /** A kitchen of rows that the description let in; one that the rehearsal refuses is tried in halves. */
    const attempt = async (broken: readonly Broken[]): Promise<void> => {
      if (broken.length === 0) return;
      const server = new TestServer();
      await server.start();
      try {
        const id = `f${(n += 1)}`;
        await fetch(`${server.url}/api/v1/kitchen/incoming/${id}?at=0`, {
          method: 'PUT',
          body: archiveWith(broken) as BodyInit,
          headers: { 'content-type': 'application/octet-stream' },
        });
        const looked = await server.ask('GET', `/api/v1/kitchen/incoming/${id}`);
        if (looked.status === 422) {
          if (broken.length === 1) {
            rehearsed += 1;
            return;
          }
          const half = Math.ceil(broken.length / 2);
          await attempt(broken.slice(0, half));
          await attempt(broken.slice(half));
          return;
        }
        expect(looked.status).to.equal(200);
        const taken = await server.ask('POST', `/api/v1/kitchen/incoming/${id}`, {
          stays: 'theirs',
        });
        expect(taken.status, JSON.stringify(taken.json)).to.equal(200);
        await server.learned();
        /** All of a list, stretch by stretch. */
        const listed = async (of: 'formulas' | 'bakes', limit: number) => {
          const all: Array<{ id: string }> = [];
          for (;;) {
            const path = `/api/v1/${of}?limit=${limit}&offset=${all.length}`;
            const rows = ((await server.ask('GET', path)).json[of] ?? []) as Array<{ id: string }>;
            all.push(...rows);
            if (rows.length < limit) return all;
          }
        };
        const [formulas, bakes] = [await listed('formulas', 100), await listed('bakes', 30)];
        const paths = [
          '/',
          '/bake',
          '/book',
          '/book/helped',
          '/book/learned',
          '/book/drawn',
          '/book/practice',
          '/book/yours',
          '/pantry',
          '/pantry/leavens',
          '/pantry/kitchen',
          '/pantry/figures',
          '/pantry/prices',
          '/pantry/devices',
          '/bake/first',
          '/bake/rescue',
          '/api/v1/household',
          '/api/v1/bags',
          '/api/v1/plans',
          '/api/v1/belief',
          '/api/v1/kitchen/bakes.csv',
          ...(formulas ?? []).flatMap((f: { id: string }) => [
            `/bench/${encodeURIComponent(f.id)}`,
            `/book/helped?formula=${encodeURIComponent(f.id)}`,
          ]),
          ...(bakes ?? []).flatMap((b: { id: string }) => [
            `/book/${encodeURIComponent(b.id)}`,
            `/bake/${encodeURIComponent(b.id)}`,
          ]),
        ];
        for (const path of paths) {
          const { status } = await server.ask('GET', path);
          if (status >= 500)
            faults.push(`${status} ${path} with ${broken.map((b) => b.what).join(' | ')}`);
        }
        const out = await fetch(`${server.url}/api/v1/kitchen`);
        if (out.status >= 500) faults.push(`${out.status} export`);
        await out.arrayBuffer();
      } finally {
        await server.end();
      }
    };
    // One place a row, and a few kitchens of many.
    const distinct = [...new Map(letIn.map((b) => [`${b.table} ${b.at}`, b])).values()];
    const groupOf = 30;
    for (let from = 0; from < distinct.length; from += groupOf)
      await attempt(distinct.slice(from, from + groupOf));
    console.log(
      `      refused at their field ${refused}, by the rehearsal ${rehearsed}, let in ${letIn.length}, pages broken ${faults.length}`,
    );
    expect(faults.slice(0, 5)).to.deep.equal([]);
    expect(refused).to.be.greaterThan(300);
  });
});
