import { expect } from 'chai';
import { strFromU8, strToU8, unzipSync } from 'fflate';
import { TestServer } from './server.ts';
import {
  formula,
  at,
  filled,
  out,
  send,
  take,
  thing,
  sealed,
  inside,
  type Things,
} from './archive-file.ts';

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
