import { testTime } from '../../../scripts/test-clock.mjs';
import { machines } from '@tender-crumb/core/machine';
import { expect } from 'chai';
import { copyFileSync, mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { TestServer } from './server.ts';

const line = (id: string, ingredient: string, grams: number) => ({ id, ingredient, grams });
const formula = {
  name: 'Lockside tin loaf',
  stages: [
    {
      lines: [
        line('a', 'bread-flour', 500),
        line('b', 'water', 320),
        line('c', 'salt', 10),
        line('d', 'instant-yeast', 5),
      ],
    },
  ],
};

describe('a bake that is led', () => {
  const server = new TestServer();
  let formulaId = '';
  /** Each thing is said a moment after the one before. */
  let saidSoFar = 0;
  before(async () => {
    await server.start();
    formulaId = (await server.ask('POST', '/api/v1/formulas', formula)).json['id'];
  });
  after(() => server.end());

  const begin = async (): Promise<string> =>
    (await server.ask('POST', '/api/v1/bakes', { formulaId, formulaVersion: 1 })).json['id'];
  const say = (bake: string, ...events: ReadonlyArray<readonly [string, object]>) =>
    server.ask('POST', `/api/v1/bakes/${bake}/events`, {
      events: events.map(([kind, data]) => ({
        id: `${kind}-${saidSoFar}-${Math.random().toString(36).slice(2)}`,
        at: testTime((saidSoFar += 1)).toISOString(),
        kind,
        data,
      })),
    });
  const plans = async (): Promise<Array<Record<string, unknown>>> =>
    (await server.ask('GET', '/api/v1/plans')).json['plans'];

  it('stands on the line of time without having been planned, until it is over', async () => {
    const id = await begin();
    const [own] = await plans();
    expect(own).to.deep.include({ id, bakeId: id, version: 0, formulaId });
    expect(own!['begun']).to.deep.include({ formulaVersion: 1, method: 'hand' });
    await say(id, ['abandoned', {}]);
    expect((await plans()).map((p) => p['id'])).not.to.include(id);
    const other = await begin();
    await say(other, ['finished', {}]);
    expect((await plans()).map((p) => p['id'])).not.to.include(other);
  });

  it('planned and begun it stands there once', async () => {
    const id = await begin();
    const readyBy = testTime(86_400_000).toISOString();
    await server.ask('PUT', '/api/v1/plans/p', { version: 0, formulaId, bakeId: id, readyBy });
    const own = (await plans()).filter((p) => p['bakeId'] === id);
    expect(own).to.have.length(1);
    expect(own[0]).to.include({ id: 'p', readyBy });
    await say(id, ['abandoned', {}]);
  });

  it('more bakes than a plan holds leave the planned ones their place', async () => {
    const ids = await Promise.all(Array.from({ length: 12 }, begin));
    expect((await plans()).length).to.be.at.most(8);
    for (const id of ids) await say(id, ['abandoned', {}]);
  });

  it('what cannot be is refused at its field, and nothing of the rest is stored', async () => {
    const id = await begin();
    const refused: ReadonlyArray<readonly [string, object, RegExp]> = [
      ['core', { celsius: 900 }, /celsius/],
      ['core', { celsius: 115.1 }, /celsius/],
      ['divided', { pieces: 0, form: 'rolls' }, /pieces/],
      ['divided', { pieces: 201, form: 'rolls' }, /pieces/],
      ['divided', { pieces: 8, form: 'swans' }, /form/],
      ['marked', { rise: 'first', volume: 0.4 }, /volume/],
      ['batch', { share: 0.09 }, /share/],
      ['piece', { grams: -300 }, /grams/],
      ['step', { step: 'bake', sense: 'longer', minutes: 20_161 }, /minutes/],
      ['step', { step: '', sense: 'done' }, /step/],
      ['note', { step: 'bake', text: 'x'.repeat(4001) }, /text/],
      ['outcome', { stars: 6, words: [], note: '' }, /stars/],
      ['outcome', { words: [], note: '', height: 0 }, /height/],
      ['way', { way: 'by-magic' }, /way/],
    ];
    for (const [kind, data, where] of refused) {
      const { status, json } = await say(id, ['felt', { points: 1 }], [kind, data]);
      expect(status, `${kind} ${JSON.stringify(data).slice(0, 60)}`).to.equal(400);
      expect(JSON.stringify(json['errors'])).to.match(where);
    }
    const { json } = await server.ask('GET', `/api/v1/bakes/${id}`);
    expect(json['events']).to.deep.equal([]);
    await say(id, ['abandoned', {}]);
  });

  it('just within they are kept, and a novel of pictures in the notes comes back to the letter', async () => {
    const id = await begin();
    const novel = '🍞🥖🧈👩‍🍳'.repeat(200).slice(0, 1999);
    const { status } = await say(
      id,
      ['core', { celsius: 115 }],
      ['divided', { pieces: 200, form: 'rolls' }],
      ['batch', { share: 0.1 }],
      ['note', { step: 'bake', text: novel }],
      [
        'outcome',
        {
          words: [],
          note: novel,
          crumb: ['open'],
          crust: ['thin and crisp'],
          taste: ['nutty'],
          before: 800,
          after: 704,
          height: 96,
        },
      ],
      ['finished', {}],
    );
    expect(status).to.equal(200);
    const { json } = await server.ask('GET', `/api/v1/bakes/${id}`);
    expect(json['outcome']).to.deep.include({ note: novel, crumb: ['open'], height: 96 });
    expect(json['outcome']).not.to.have.property('stars');
    // Mended later, it is the later one.
    await say(id, ['outcome', { stars: 4, words: ['dense'], note: 'mended' }]);
    expect((await server.ask('GET', `/api/v1/bakes/${id}`)).json['outcome']).to.deep.equal({
      stars: 4,
      words: ['dense'],
      note: 'mended',
    });
  });
});

describe('what a household bakes with', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());
  const settle = (patch: object) => server.ask('PATCH', '/api/v1/household', patch);
  const machine = {
    id: 'm',
    kind: 'machine',
    name: 'Machine',
    holds: 1,
    machine: machines.upright,
  };

  it('machines with their programmes, ovens, pans and bowls are kept as they were told', async () => {
    const oven = {
      id: 'o',
      kind: 'oven',
      name: 'Oven',
      holds: 2,
      offset: -5,
      fan: true,
      lowest: 50,
      steam: 'tray',
    };
    const pans = [{ id: 't', kind: 'tin', name: 'Tin', millilitres: 1800, grams: 400 }];
    const custom = { name: 'set aside', fromFlour: 1200, grams: 30 };
    expect((await settle({ appliances: [machine, oven], pans, custom })).status).to.equal(200);
    const { json } = await server.ask('GET', '/api/v1/household');
    expect(json['appliances']).to.deep.equal(JSON.parse(JSON.stringify([machine, oven])));
    expect(json).to.deep.include({ pans, custom });
  });

  it('what cannot be is refused at its field', async () => {
    const wrong: ReadonlyArray<readonly [object, RegExp]> = [
      [{ pans: [{ id: 't', kind: 'tin', name: 'Tin', millilitres: 49 }] }, /millilitres/],
      [{ pans: [{ id: 't', kind: 'hat', name: 'Hat' }] }, /kind/],
      [{ pans: [{ id: 't', kind: 'tin', name: '' }] }, /name/],
      [
        { appliances: [{ ...machine, machine: { ...machines.upright, programmes: [] } }] },
        /programmes/,
      ],
      [{ appliances: [{ ...machine, machine: { ...machines.upright, sizes: ['3lb'] } }] }, /sizes/],
      [{ appliances: [{ id: 'o', kind: 'oven', name: 'Oven', holds: 1, lowest: 400 }] }, /lowest/],
      [{ custom: { name: 'set aside', fromFlour: 0, grams: 30 } }, /fromFlour/],
    ];
    for (const [patch, where] of wrong) {
      const { status, json } = await settle(patch);
      expect(status, JSON.stringify(patch).slice(0, 80)).to.equal(400);
      expect(JSON.stringify(json['errors'])).to.match(where);
    }
  });
});

describe('a kitchen of the version before bakes were led', () => {
  const server = new TestServer();
  before(async () => {
    mkdirSync(dirname(server.file), { recursive: true });
    copyFileSync(resolve('apps/web/test/fixtures/seventh-2026-11.db'), server.file);
    await server.start();
  });
  after(() => server.end());

  it('opens with its plans, its oven and its bakes, and can be baked in', async () => {
    const { json } = await server.ask('GET', '/api/v1/household');
    expect(json['appliances']).to.deep.equal([
      { id: 'range', kind: 'oven', name: 'The range', holds: 2 },
    ]);
    expect(json['pans']).to.deep.equal([]);
    const { status, json: bake } = await server.ask('POST', '/api/v1/bakes', {
      formulaId: 'tin',
      formulaVersion: 1,
    });
    expect(status).to.equal(201);
    const page = await fetch(`${server.url}/bake/${bake['id']}`);
    expect(page.status).to.equal(200);
    expect(await page.text()).to.include('Weigh the ingredients');
  });
});
