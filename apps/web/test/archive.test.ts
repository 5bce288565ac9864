import { createHash } from 'node:crypto';
import { expect } from 'chai';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { archiveTableNames, photosDigest } from '../src/lib/server/archive/tables.ts';
import { TestServer } from './server.ts';

const formula = (name: string, water = 320) => ({
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
const at = (minute: number) => new Date(Date.UTC(2026, 4, 2, 8, minute)).toISOString();
const events = (felt: number, note = '') => [
  { id: 'f', at: at(10), kind: 'felt', data: { points: felt } },
  { id: 'o', at: at(20), kind: 'outcome', data: { stars: 4, words: ['dense'], note } },
  { id: 'e', at: at(30), kind: 'finished', data: {} },
];

/** A kitchen with a formula in two versions, a bag, a bake and its photo. */
async function filled(server: TestServer): Promise<{ bread: string; bake: string }> {
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

const out = async (server: TestServer): Promise<Uint8Array> =>
  new Uint8Array(await (await fetch(`${server.url}/api/v1/kitchen`)).arrayBuffer());

/** Sends a file in pieces, looks at it. */
async function send(server: TestServer, file: Uint8Array, id = 'file', piece = 100_000) {
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
const take = (server: TestServer, stays: 'ours' | 'theirs' = 'ours', id = 'file') =>
  server.ask('POST', `/api/v1/kitchen/incoming/${id}`, { stays });

type Things = Array<{
  table: string;
  fresh: number;
  same: number;
  other: number;
  orphans: number;
  others: string[];
}>;
const thing = (json: Record<string, unknown>, table: string) =>
  (json['things'] as Things).find((t) => t.table === table)!;

/** A file of those entries, with the digest that they have: as somebody writes it who means it. */
function sealed(entries: Record<string, Uint8Array>): Uint8Array {
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
function inside(file: Uint8Array): Record<string, string> {
  const { 'tender-crumb.json': manifest, ...rest } = unzipSync(file);
  void manifest;
  return Object.fromEntries(
    Object.entries(rest).map(([name, bytes]) => [
      name,
      name.endsWith('.jpg') ? Buffer.from(bytes).toString('base64') : strFromU8(bytes),
    ]),
  );
}

describe('everything out, and in again', () => {
  const one = new TestServer();
  const other = new TestServer();
  let file: Uint8Array;
  let ids: { bread: string; bake: string };
  before(async () => {
    await Promise.all([one.start(), other.start()]);
    ids = await filled(one);
    file = await out(one);
  });
  after(() => Promise.all([one.end(), other.end()]));

  it('one file of plain text and photos, which a spreadsheet and any zip can read', () => {
    const read = inside(file);
    expect(Object.keys(read)).to.include.members([
      'bakes.csv',
      'lines.csv',
      'photos/loaf.jpg',
      'photos/loaf.small.jpg',
    ]);
    expect(read['tables/formula_version.jsonl']!.trim().split('\n')).to.have.length(2);
    expect(read['bakes.csv']).to.contain('Like a brick, said Ö.');
    expect(read['bakes.csv']!.split('\n')[1]).to.contain('2026-05-02,Weir loaf,hand,good,dense');
    expect(read['lines.csv']).to.contain(',water,,330,330');
  });

  it('taken into an empty kitchen and out again it is the same to the byte, but for its date', async () => {
    const looked = await send(other, file);
    expect(looked.status).to.equal(200);
    expect(thing(looked.json, 'formula')).to.include({ fresh: 1, same: 0, other: 0 });
    expect(thing(looked.json, 'bake_event')).to.include({ fresh: 3 });
    expect((await take(other)).json['came']).to.be.greaterThan(5);
    await other.learned();
    expect(inside(await out(other))).to.deep.equal(inside(file));
    const bake = (await other.ask('GET', `/api/v1/bakes/${ids.bake}`)).json;
    expect(bake['outcome']['note']).to.equal('Like a brick, said Ö.');
    expect(bake['lesson']['felt']).to.equal(-6);
    const photo = await fetch(`${other.url}/api/v1/bakes/${ids.bake}/photos/loaf`);
    expect(photo.headers.get('content-type')).to.equal('image/jpeg');
  });

  it('the same once more is nothing new, and changes nothing', async () => {
    const looked = await send(other, file);
    for (const t of looked.json['things'] as Things)
      expect([t.fresh, t.other], t.table).to.deep.equal([0, 0]);
    expect((await take(other)).json['came']).to.equal(0);
    await other.learned();
    expect(inside(await out(other))).to.deep.equal(inside(file));
  });

  it('into a full kitchen what is there stays, or what comes: versions on top, bakes joined', async () => {
    const full = new TestServer();
    await full.start();
    try {
      await send(full, file);
      await take(full);
      // Here another second version, another name for the sack, one note more.
      await full.ask('PUT', `/api/v1/formulas/${ids.bread}`, {
        version: 2,
        formula: formula('Weir loaf', 300),
      });
      await full.ask('POST', `/api/v1/bakes/${ids.bake}/events`, {
        events: [{ id: 'n', at: at(40), kind: 'note', data: { step: 'bake', text: 'hotter' } }],
      });
      const entries = unzipSync(file);
      entries['tables/formula_version.jsonl'] = strToU8(
        strFromU8(entries['tables/formula_version.jsonl']!).replaceAll(
          '"grams\\":330',
          '"grams\\":345',
        ),
      );
      entries['tables/bag.jsonl'] = strToU8(
        strFromU8(entries['tables/bag.jsonl']!).replace('Blue sack', 'Green sack'),
      );
      const changed = sealed(entries);
      const looked = await send(full, changed);
      expect(thing(looked.json, 'formula_version')).to.include({ fresh: 0, same: 1, other: 1 });
      expect(thing(looked.json, 'bag')).to.include({ other: 1 });
      expect(thing(looked.json, 'bag').others).to.deep.equal(['Green sack']);
      await take(full, 'ours');
      const bags = async () =>
        ((await full.ask('GET', '/api/v1/bags')).json['bags'] as Array<{ name: string }>).map(
          (b) => b.name,
        );
      const water = async () => {
        const { json } = await full.ask('GET', `/api/v1/formulas/${ids.bread}`);
        return [json['version'], json['formula'].stages[0].lines[1].grams] as unknown[];
      };
      expect(await bags()).to.deep.equal(['Blue sack']);
      expect(await water()).to.deep.equal([3, 300]);
      await send(full, changed);
      await take(full, 'theirs');
      expect(await bags()).to.deep.equal(['Green sack']);
      expect(await water()).to.deep.equal([4, 345]);
      const { json } = await full.ask('GET', `/api/v1/bakes/${ids.bake}`);
      expect((json['events'] as Array<{ id: string }>).map((e) => e.id)).to.include.members([
        'f',
        'o',
        'e',
        'n',
      ]);
    } finally {
      await full.end();
    }
  });

  it('two thousand bakes at once come, the server answers meanwhile, and the same once more is nothing new', async () => {
    const many = 2000;
    const entries = unzipSync(file);
    const rows = (table: string) =>
      strFromU8(entries[`tables/${table}.jsonl`]!)
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as Record<string, unknown>);
    const written = (all: readonly object[]) =>
      strToU8(all.map((row) => `${JSON.stringify(row)}\n`).join(''));
    const [bake] = rows('bake');
    const said = rows('bake_event');
    const ids = Array.from({ length: many }, (_, i) => `many${i}`);
    entries['tables/bake.jsonl'] = written(ids.map((id) => ({ ...bake, id })));
    entries['tables/bake_event.jsonl'] = written(
      ids.flatMap((id, i) =>
        said.map((e, k) => ({ ...e, bake_id: id, id: `${id}-${k}`, seq: i * said.length + k + 1 })),
      ),
    );
    delete entries['tables/photo.jsonl'];
    const large = sealed(entries);
    const house = new TestServer();
    await house.start();
    try {
      const looked = await send(house, large, 'large', 4_000_000);
      expect(looked.status).to.equal(200);
      expect(thing(looked.json, 'bake')).to.include({ fresh: many, orphans: 0 });
      let answered = 0;
      let taken = false;
      const taking = take(house, 'ours', 'large').finally(() => (taken = true));
      while (!taken) {
        expect((await house.ask('GET', '/api/v1/formulas')).status).to.equal(200);
        if (!taken) answered += 1;
      }
      expect((await taking).status).to.equal(200);
      // Nobody waits for the file.
      expect(answered).to.be.greaterThan(3);
      expect((await house.ask('GET', '/api/v1/bakes')).json['total']).to.equal(many);
      expect(
        (await house.ask('GET', `/api/v1/bakes/${ids.at(-1)!}`)).json['events'],
      ).to.have.length(said.length);
      await house.learned();
      const again = await send(house, large, 'again', 4_000_000);
      expect(thing(again.json, 'bake')).to.include({ fresh: 0, same: many, other: 0 });
      expect((await take(house, 'ours', 'again')).json['came']).to.equal(0);
    } finally {
      await house.end();
    }
  }).timeout(120_000);

  it('what belongs to nothing stays out, and is told', async () => {
    const entries = unzipSync(file);
    entries['tables/bake.jsonl'] = strToU8('');
    const looked = await send(
      other,
      sealed({ ...entries, 'tables/formula.jsonl': strToU8('') }),
      'orphans',
    );
    expect(thing(looked.json, 'formula_version').orphans).to.equal(0); // They are here already.
    const empty = new TestServer();
    await empty.start();
    try {
      const there = await send(empty, sealed({ ...entries, 'tables/formula.jsonl': strToU8('') }));
      expect(thing(there.json, 'formula_version')).to.include({ orphans: 2, fresh: 0 });
      expect(thing(there.json, 'bake_event')).to.include({ orphans: 3 });
      expect((await take(empty)).status).to.equal(200);
      expect((await empty.ask('GET', '/api/v1/formulas')).json['total']).to.equal(0);
    } finally {
      await empty.end();
    }
  });

  it('a sending that broke off goes on where it was', async () => {
    const half = Math.floor(file.length / 2);
    const put = async (from: number, to: number) =>
      (await (
        await fetch(`${other.url}/api/v1/kitchen/incoming/again?at=${from}`, {
          method: 'PUT',
          body: file.slice(from, to) as BodyInit,
          headers: { 'content-type': 'application/octet-stream' },
        })
      ).json()) as { here?: number; status?: number };
    expect((await put(0, half)).here).to.equal(half);
    // The answer was lost, and the piece sent once more.
    await put(half - 10, half);
    expect((await put(half + 5, file.length)).status).to.equal(409);
    expect((await put(half, file.length)).here).to.equal(file.length);
    expect((await other.ask('GET', '/api/v1/kitchen/incoming/again')).status).to.equal(200);
  });
});

describe('files that are not taken', () => {
  const server = new TestServer();
  let good: Record<string, Uint8Array>;
  before(async () => {
    await server.start();
    await filled(server);
    good = unzipSync(await out(server));
  });
  after(() => server.end());

  const refused = async (file: Uint8Array, words: RegExp) => {
    const before = inside(await out(server));
    const { status, json } = await send(server, file, 'bad');
    expect(status).to.equal(422);
    expect(JSON.stringify(json)).to.match(words);
    expect((await take(server, 'theirs', 'bad')).status).to.equal(404);
    expect(existsSync(join(server.folder, 'own', 'incoming', 'bad'))).to.equal(false);
    expect(inside(await out(server))).to.deep.equal(before);
  };

  it('a text, an empty file, somebody else’s zip', async () => {
    await refused(strToU8('not a zip at all'), /no zip|not belong|empty/);
    await refused(new Uint8Array(0), /no zip|empty/);
    await refused(zipSync({ 'holiday.txt': strToU8('sun') }), /does not belong/);
    await refused(zipSync({ 'bakes.csv': strToU8('a,b') }), /not the file of a household/);
  });

  it('half a file', async () => {
    const whole = await out(server);
    await refused(whole.slice(0, Math.floor(whole.length / 2)), /half a file|damaged|not the file/);
  });

  it('a path that leads out of its folder', async () => {
    await refused(
      zipSync({ ...good, '../../own/tender-crumb.db': strToU8('x') } as Zippable),
      /does not belong|no zip file/,
    );
    await refused(
      zipSync({ ...good, 'photos/../../evil.jpg': strToU8('x') } as Zippable),
      /does not belong|no zip file/,
    );
    await refused(
      zipSync({ ...good, '/etc/passwd': strToU8('x') } as Zippable),
      /does not belong|no zip file/,
    );
    expect(readdirSync(server.folder)).to.deep.equal(['own']);
  });

  it('a bomb: little that would become much', async () => {
    const bomb = zipSync({ ...good, 'lines.csv': new Uint8Array(80 * 1024 * 1024) } as Zippable, {
      level: 9,
    });
    expect(bomb.length).to.be.lessThan(400_000);
    await refused(bomb, /more than any household/);
  });

  it('a later format, a row that is none, a formula that is none', async () => {
    const manifest = {
      ...good,
      'tender-crumb.json': strToU8('{"program":"tender-crumb","format":3}'),
    };
    await refused(zipSync(manifest as Zippable), /newer version/);
    const with_ = (table: string, text: string) =>
      sealed({ ...good, [`tables/${table}.jsonl`]: strToU8(text) });
    await refused(with_('bag', '{"id":"x"'), /bag\.jsonl, line 1: it cannot be read/);
    await refused(with_('bag', '[]\n'), /it is no row/);
    await refused(
      with_('bag', '{"name":"no id","ingredient":"x","facts":"{}"}'),
      /bag\.jsonl, line 1, id: /,
    );
    await refused(
      with_('timer', '{"id":{"$ne":1},"name":"t"}'),
      /timer\.jsonl, line 1, id: is no text and no number/,
    );
    // A day that no page could show; a thirtieth of February, which the first versions took, comes.
    const opened = (day: string) =>
      with_(
        'bag',
        `{"id":"x","name":"Sack","ingredient":"bread-flour","facts":"{}","opened_on":"${day}"}\n`,
      );
    await refused(opened('2026-13-45'), /bag\.jsonl, line 1, opened_on/);
    expect((await send(server, opened('2026-02-30'))).status).to.equal(200);
    await refused(
      with_(
        'formula_version',
        '{"formula_id":"a","version":1,"body":"{\\"stages\\":7}","saved_at":"x"}',
      ),
      /formula_version\.jsonl, line 1, (?:body|saved_at)/,
    );
  });

  it('a photo that is a script stays out, the rest comes', async () => {
    const entries = {
      ...good,
      'photos/evil.jpg': strToU8('<script>alert(1)</script>'),
      'photos/evil.small.jpg': strToU8('<script>alert(1)</script>'),
      'tables/photo.jsonl': strToU8(
        `${strFromU8(good['tables/photo.jsonl']!)}${JSON.stringify({
          ...(JSON.parse(strFromU8(good['tables/photo.jsonl']!)) as object),
          id: 'evil',
        })}\n`,
      ),
    };
    expect((await send(server, sealed(entries), 'script')).status).to.equal(200);
    expect((await take(server, 'ours', 'script')).json['came']).to.equal(0);
    expect(existsSync(join(server.folder, 'own', 'photos', 'evil.jpg'))).to.equal(false);
  });

  it('a name that is no name of a file', async () => {
    const answer = await fetch(`${server.url}/api/v1/kitchen/incoming/..%2F..%2Fx?at=0`, {
      method: 'PUT',
      body: 'x',
    });
    expect(answer.status).to.equal(400);
  });
});

describe('copies on the page', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());

  it('one is made, told with what is in it, put back while the program runs; what stood there becomes one', async () => {
    const { bread, bake } = await filled(server);
    const made = (await server.ask('POST', '/api/v1/kitchen/backups', {})).json['copies'] as Array<
      Record<string, unknown>
    >;
    expect(made).to.have.length(1);
    expect(made[0]).to.include({ reason: 'by-hand', bakes: 1, formulas: 1, photos: 1 });
    expect(made[0]!['bytes']).to.be.greaterThan(10_000);

    // The bake is taken out, with its photo; another formula comes.
    expect((await server.ask('DELETE', `/api/v1/bakes/${bake}`)).status).to.equal(204);
    expect((await server.ask('DELETE', `/api/v1/bakes/${bake}`)).status).to.equal(204);
    expect((await server.ask('GET', `/api/v1/bakes/${bake}`)).status).to.equal(404);
    expect(existsSync(join(server.folder, 'own', 'photos', 'loaf.jpg'))).to.equal(false);
    await server.ask('POST', '/api/v1/formulas', formula('Later loaf'));

    const back = await server.ask('PUT', '/api/v1/kitchen/backups', { name: made[0]!['name'] });
    expect(back.status).to.equal(200);
    expect(
      (back.json['copies'] as Array<Record<string, unknown>>).map((c) => c['reason']),
    ).to.include('replaced');
    await server.learned();
    expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(1);
    expect((await server.ask('GET', `/api/v1/bakes/${bake}`)).json['outcome']['stars']).to.equal(4);
    expect((await fetch(`${server.url}/api/v1/bakes/${bake}/photos/loaf`)).status).to.equal(200);
    // And back again.
    const replaced = (back.json['copies'] as Array<Record<string, string>>).find(
      (c) => c['reason'] === 'replaced',
    )!;
    await server.ask('PUT', '/api/v1/kitchen/backups', { name: replaced['name'] });
    expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(2);
    expect((await server.ask('GET', `/api/v1/formulas/${bread}`)).status).to.equal(200);
  });

  it('there is no copy of that name, and none outside the folder', async () => {
    expect(
      (
        await server.ask('PUT', '/api/v1/kitchen/backups', {
          name: 'nightly-2020-01-01T00-00-00Z.db',
        })
      ).status,
    ).to.equal(404);
    for (const name of ['../../x.db', '/etc/passwd', '', 5])
      expect((await server.ask('PUT', '/api/v1/kitchen/backups', { name })).status).to.equal(400);
  });

  it('a lost machine comes back from last night’s copy on another one', async () => {
    const lost = new TestServer();
    await lost.start();
    const { bake } = await filled(lost);
    const [copy] = (await lost.ask('POST', '/api/v1/kitchen/backups', {})).json['copies'] as Array<{
      name: string;
    }>;
    await lost.kill();
    const found = new TestServer();
    const { cpSync, mkdirSync } = await import('node:fs');
    mkdirSync(join(found.folder, 'own'), { recursive: true });
    // All that was saved of it is the folder of copies.
    cpSync(join(lost.folder, 'own', 'backups'), join(found.folder, 'own', 'backups'), {
      recursive: true,
    });
    const { restoreBackup } = await import('../src/lib/server/database/backup.ts');
    restoreBackup(join(found.folder, 'own', 'backups', copy!.name), found.file);
    await found.start();
    try {
      expect((await found.ask('GET', `/api/v1/bakes/${bake}`)).json['outcome']['note']).to.contain(
        'brick',
      );
      expect((await fetch(`${found.url}/api/v1/bakes/${bake}/photos/loaf`)).status).to.equal(200);
    } finally {
      await found.end();
      await lost.end();
    }
  });

  it('everything is taken away where that was said in so many words, and nothing where it was not', async () => {
    for (const say of ['yes', '', 'Everything!'])
      expect((await server.ask('POST', '/api/v1/kitchen/away', { say })).status).to.equal(400);
    expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(2);
    expect(
      (await server.ask('POST', '/api/v1/kitchen/away', { say: 'everything' })).status,
    ).to.equal(204);
    expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(0);
    expect((await server.ask('GET', '/api/v1/kitchen/backups')).json['copies']).to.deep.equal([]);
    expect(existsSync(join(server.folder, 'own', 'photos'))).to.equal(false);
    await server.kill();
    await server.start();
    expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(0);
  });
});
