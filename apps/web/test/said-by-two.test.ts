import { expect } from 'chai';
import { openHandle } from '../src/lib/server/database/handle.ts';
import { TestServer } from './server.ts';

const loaf = {
  name: 'Weir loaf',
  stages: [
    {
      lines: [
        { ingredient: 'bread-flour', grams: 500 },
        { ingredient: 'water', grams: 320 },
        { ingredient: 'salt', grams: 9 },
        { ingredient: 'instant-yeast', grams: 5 },
      ],
    },
  ],
};

describe('what two tablets say of one thing', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());

  const change = (path: string, was: object, now: object) =>
    server.ask('PATCH', `/api/v1/${path}`, { was, now });
  const bag = async (id: string) =>
    ((await server.ask('GET', '/api/v1/bags')).json['bags'] as Array<{ id: string }>).find(
      (b) => b.id === id,
    );

  it('a bag: one says the protein, the other the price, and both stand; a clash is told, and theirs stands', async () => {
    const blue = { name: 'Blue sack', ingredient: 'bread-flour' };
    expect((await change('bags/blue', {}, blue)).json).to.deep.include({ ...blue, id: 'blue' });
    await change('bags/blue', {}, { protein: 12.5 });
    const second = await change('bags/blue', {}, { price: { paid: 3, kilograms: 2 } });
    expect(second.json['clashes']).to.deep.equal([]);
    expect(await bag('blue')).to.deep.include({ protein: 12.5, price: { paid: 3, kilograms: 2 } });

    const late = await change('bags/blue', {}, { protein: 11 });
    expect([late.status, late.json['clashes']]).to.deep.equal([
      200,
      [{ path: ['protein'], mine: 11, theirs: 12.5 }],
    ]);
    expect(await bag('blue')).to.deep.include({ protein: 12.5 });
    await change('bags/blue', { protein: 12.5 }, { protein: 11 });
    expect(await bag('blue')).to.deep.include({ protein: 11 });
  });

  it('a new one is made once however often its beginning is sent, and is no other’s', async () => {
    const red = { name: 'Red sack', ingredient: 'whole-wheat' };
    await change('bags/red', {}, red);
    await change('bags/red', { name: 'Red sack' }, { name: 'Red bag' });
    expect((await change('bags/red', {}, red)).json).to.include({ name: 'Red bag' });
    expect(await bag('red')).to.include({ name: 'Red bag' });
    expect((await change('bags/nobody', { name: 'a' }, { name: 'b' })).status).to.equal(404);
  });

  it('what cannot be is said at its field, and nothing is changed', async () => {
    const wrong = await change('bags/blue', {}, { moisture: 60 });
    expect([wrong.status, JSON.stringify(wrong.json)]).to.satisfy(
      ([status, text]: [number, string]) => status === 422 && text.includes('body.moisture'),
    );
    expect(
      (await change('bags/blue', { ingredient: 'bread-flour' }, { ingredient: 'gravel' })).status,
    ).to.equal(400);
    expect((await change('bags/blue', {}, { colour: 'blue' })).status).to.equal(400);
    expect((await server.ask('PATCH', '/api/v1/bags/blue', { was: {} })).status).to.equal(400);
    expect(await bag('blue')).to.not.have.any.keys('moisture', 'colour');
  });

  it('tins: each adds one, and two stand there', async () => {
    const tin = (id: string) => ({ id, name: id, kind: 'pot', millilitres: 1800 });
    const settings = async () => (await server.ask('GET', '/api/v1/household')).json;
    const first = await change('household', { pans: [] }, { pans: [tin('a')] });
    expect(first.status, JSON.stringify(first.json)).to.equal(200);
    await change('household', { pans: [] }, { pans: [tin('b')] });
    expect((await settings())['pans'].map((p: { id: string }) => p.id)).to.deep.equal(['a', 'b']);
    // As earlier versions of the program sent it, and as any tool may.
    expect((await server.ask('PATCH', '/api/v1/household', { people: 2 })).json['people']).to.equal(
      2,
    );
    expect((await settings())['pans']).to.have.length(2);
  });

  it('an own ingredient: made under the page’s id, then field by field', async () => {
    const label = {
      name: 'Bean flour',
      like: 'bread-flour',
      school: 'eu',
      protein: 25,
      fat: 2,
      carbohydrate: 50,
      fibre: 10,
      sugars: 2,
      salt: 0.1,
    };
    const path = 'ingredients/own-bean-x1y2z3';
    expect((await change(path, {}, label)).json['label']).to.deep.include(label);
    await change(path, { fat: 2 }, { fat: 3 });
    await change(path, { fibre: 10 }, { fibre: 12 });
    const { ingredients } = (await server.ask('GET', '/api/v1/ingredients')).json;
    expect(ingredients[0].label).to.include({ fat: 3, fibre: 12, protein: 25 });
    expect((await change('ingredients/own-../x', {}, label)).status).to.be.oneOf([400, 404]);
  });

  it('a plan: one says a step is done, the other when it is to be ready', async () => {
    const { id: formulaId } = (await server.ask('POST', '/api/v1/formulas', loaf)).json;
    const wish = { formulaId, readyBy: '2026-11-27T18:00:00Z' };
    expect((await change('plans/p1', {}, wish)).json).to.include({ version: 1 });
    const facts = { mix: { start: '2026-11-27T08:00:00Z' } };
    await change('plans/p1', {}, { facts });
    const late = await change(
      'plans/p1',
      { readyBy: wish.readyBy },
      { readyBy: '2026-11-27T19:00:00Z' },
    );
    expect(late.json).to.deep.include({ facts, readyBy: '2026-11-27T19:00:00Z', clashes: [] });
    await server.ask('DELETE', '/api/v1/plans/p1');
    expect((await change('plans/p1', {}, { facts })).status).to.equal(404);
  });
});

describe('a bake that was begun while the server was away', () => {
  const server = new TestServer();
  let formulaId: string;
  before(async () => {
    await server.start();
    formulaId = (await server.ask('POST', '/api/v1/formulas', loaf)).json['id'];
  });
  after(() => server.end());

  const kitchen = {
    room: { celsius: 17 },
    measures: { cup: 'us', tablespoon: 'us', fill: 'dipped', egg: 'eu-medium', cups: {} },
    scaleStep: 1,
    bags: {},
  };

  it('has the circumstances of its hour, and tells what the server would have said otherwise', async () => {
    const { measures } = (await server.ask('GET', '/api/v1/household')).json;
    const begun = {
      id: 'away-1',
      formulaId,
      formulaVersion: 1,
      method: 'hand',
      startedAt: '2026-11-26T07:00:00Z',
      kitchen: { ...kitchen, measures },
      forecast: { points: -3, low: -6, high: 0 },
      events: [
        {
          id: 'w',
          at: '2026-11-26T07:05:00Z',
          kind: 'step',
          data: { step: 'weigh', sense: 'done' },
        },
      ],
    };
    const first = await server.ask('POST', '/api/v1/bakes', begun);
    expect(first.status, JSON.stringify(first.json)).to.equal(201);
    expect(first.json).to.deep.include({
      startedAt: begun.startedAt,
      forecast: begun.forecast,
      otherwise: ['kitchen', 'forecast'],
    });
    expect(first.json['circumstances'].kitchen.room).to.deep.equal({ celsius: 17 });
    expect(first.json['events'].map((e: { id: string }) => e.id)).to.deep.equal(['w']);
    // A lost answer: the same once more is the same once.
    const again = await server.ask('POST', '/api/v1/bakes', begun);
    expect([again.status, again.json['events'].length]).to.deep.equal([201, 1]);
    expect((await server.ask('GET', '/api/v1/bakes')).json['total']).to.equal(1);
  });

  it('what it says is what the server says, where nothing changed: nothing is marked', async () => {
    const plain = await server.ask('POST', '/api/v1/bakes', { formulaId, formulaVersion: 1 });
    const { circumstances, forecast } = plain.json;
    const said = await server.ask('POST', '/api/v1/bakes', {
      formulaId,
      formulaVersion: 1,
      kitchen: circumstances.kitchen,
      forecast,
    });
    expect(said.json).to.not.have.property('otherwise');
    expect(said.json['forecast']).to.deep.equal(forecast);
  });

  it('of a formula that was typed away: what was saved of that sitting, and what was refused as stale too', async () => {
    const draft = (water: number) => ({
      ...loaf,
      stages: [
        {
          lines: loaf.stages[0]!.lines.map((l) =>
            l.ingredient === 'water' ? { ...l, grams: water } : l,
          ),
        },
      ],
    });
    const put = (body: object) => server.ask('PUT', `/api/v1/formulas/${formulaId}`, body);
    await put({ version: 1, formula: draft(330), draft: 'here' });
    const bake = await server.ask('POST', '/api/v1/bakes', { formulaId, draft: 'here' });
    expect([bake.status, bake.json['formulaVersion']]).to.deep.equal([201, 2]);

    // Somebody else saved meanwhile.
    await put({ version: 2, formula: draft(340), draft: 'there' });
    expect((await put({ version: 2, formula: draft(310), draft: 'away' })).status).to.equal(409);
    const stale = await server.ask('POST', '/api/v1/bakes', { formulaId, draft: 'away' });
    const waterIn = (formula: {
      stages: Array<{ lines: Array<{ ingredient: string; grams: number }> }>;
    }) => formula.stages[0]!.lines.find((l) => l.ingredient === 'water')!.grams;
    const version = stale.json['formulaVersion'];
    const { formula: head } = (await server.ask('GET', `/api/v1/formulas/${formulaId}`)).json;
    expect(waterIn(head)).to.equal(340);
    const path = `/api/v1/formulas/${formulaId}?version=${version}`;
    expect(waterIn((await server.ask('GET', path)).json['formula'])).to.equal(310);
    expect(
      (await server.ask('POST', '/api/v1/bakes', { formulaId, draft: 'none' })).status,
    ).to.equal(404);
  });

  it('is no more planned than it is begun: the plan knows it, and one that was dropped is missed by nobody', async () => {
    await server.ask('PATCH', '/api/v1/plans/pl', { was: {}, now: { formulaId } });
    const begin = (id: string, planned: string) =>
      server.ask('POST', '/api/v1/bakes', { id, formulaId, formulaVersion: 1, planned });
    expect((await begin('planned-1', 'pl')).status).to.equal(201);
    const { plans } = (await server.ask('GET', '/api/v1/plans')).json;
    expect(plans.find((p: { id: string }) => p.id === 'pl').bakeId).to.equal('planned-1');
    expect((await begin('planned-2', 'gone')).status).to.equal(201);
  });

  it('half of it is none of it: events that cannot be leave no bake', async () => {
    const answer = await server.ask('POST', '/api/v1/bakes', {
      id: 'half',
      formulaId,
      formulaVersion: 1,
      events: [{ id: 'x', at: 'today', kind: 'step', data: {} }],
    });
    expect(answer.status).to.equal(400);
    expect((await server.ask('GET', '/api/v1/bakes/half')).status).to.equal(404);
  });
});

describe('the house’s clock', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());

  const bake = async () =>
    (await server.ask('POST', '/api/v1/bakes', { name: 'Flat bread' })).json['id'] as string;
  const note = (id: string, at: string, clock?: number) => ({
    id,
    at,
    ...(clock === undefined ? {} : { clock }),
    kind: 'guided',
    data: { on: true },
  });

  it('stands in every answer', async () => {
    const answer = await fetch(`${server.url}/api/v1/learning`);
    const heard = Number(answer.headers.get('x-house-time'));
    // By the clock that the tests set.
    expect(new Date(heard).toISOString()).to.match(/^20\d\d-/);
    expect(
      Math.abs(
        heard - (await fetch(`${server.url}/`).then((r) => Number(r.headers.get('x-house-time')))),
      ),
    ).to.be.lessThan(60_000);
  });

  it('an event of the year 2031 is of today, where its tablet knew by how much it is off', async () => {
    const id = await bake();
    const dayMs = 86_400_000;
    const off = -1500 * dayMs;
    const { json } = await server.ask('POST', `/api/v1/bakes/${id}/events`, {
      events: [note('a', '2031-01-04T10:00:00.000Z', off), note('b', '2026-11-26T10:00:30.000Z')],
    });
    expect(
      json['events'].map((e: { at: string; clock?: number }) => [e.at, e.clock]),
    ).to.deep.equal([
      [new Date(Date.parse('2031-01-04T10:00:00.000Z') + off).toISOString(), undefined],
      ['2026-11-26T10:00:30.000Z', undefined],
    ]);
    // As it was tapped, and by how much that was off.
    const handle = openHandle(server.file);
    const rows = handle.all(
      "select id, at, clock from bake_event where id in ('a', 'b') order by id",
    );
    handle.close();
    expect(rows).to.deep.equal([
      { id: 'a', at: '2031-01-04T10:00:00.000Z', clock: off },
      { id: 'b', at: '2026-11-26T10:00:30.000Z', clock: null },
    ]);
  });

  it('what nobody can have tapped yet is refused at its field: a month ahead, and not a day less', async () => {
    const now = Number((await fetch(`${server.url}/api/v1/learning`)).headers.get('x-house-time'));
    const ahead = (days: number) => new Date(now + days * 86_400_000).toISOString();
    const id = await bake();
    const events = (...at: string[]) => ({ events: at.map((a, i) => note(`n${i}`, a)) });
    const path = `/api/v1/bakes/${id}/events`;
    const late = await server.ask('POST', path, events(ahead(-1), '2031-01-04T10:00:00.000Z'));
    expect([late.status, late.json['errors'].map((e: { where: string }) => e.where)]).to.deep.equal(
      [400, ['body.events[1].at']],
    );
    expect((await server.ask('POST', path, events(ahead(32)))).status).to.equal(400);
    expect((await server.ask('POST', path, events(ahead(30)))).status).to.equal(200);
    const begin = (startedAt: string, headers = {}) =>
      server.ask('POST', '/api/v1/bakes', { name: 'Flat bread', startedAt }, headers);
    expect((await begin('2031-01-04T10:00:00.000Z')).status).to.equal(400);
    // A tablet that is four years ahead, and has heard of no house yet.
    const begun = await begin(ahead(1500), { 'x-device-time': String(now + 1500 * 86_400_000) });
    expect(Math.abs(Date.parse(begun.json['startedAt']) - now)).to.be.lessThan(60_000);
  });

  it('a bag of which three tablets say something: all that only one said stands, the rest is told to each', async () => {
    const said = (was: object, now: object) =>
      server.ask('PATCH', '/api/v1/bags/three', { was, now });
    await said({}, { name: 'Three', ingredient: 'bread-flour', protein: 11 });
    const was = { protein: 11 };
    const answers = [
      await said(was, { protein: 12, moisture: 13 }),
      await said(was, { protein: 12.5, openedOn: '2026-11-01' }),
      await said(was, { protein: 13, price: { paid: 3, kilograms: 2 }, moisture: 14 }),
    ];
    expect(answers.map((a) => a.json['clashes'])).to.deep.equal([
      [],
      [{ path: ['protein'], was: 11, mine: 12.5, theirs: 12 }],
      [
        { path: ['protein'], was: 11, mine: 13, theirs: 12 },
        { path: ['moisture'], mine: 14, theirs: 13 },
      ],
    ]);
    const { bags } = (await server.ask('GET', '/api/v1/bags')).json;
    expect(bags.find((b: { id: string }) => b.id === 'three')).to.deep.include({
      protein: 12,
      moisture: 13,
      openedOn: '2026-11-01',
      price: { paid: 3, kilograms: 2 },
    });
  });

  it('a tablet that never heard the house is off by as much as it is now: beyond two minutes', async () => {
    const heard = Number(
      (await fetch(`${server.url}/api/v1/learning`)).headers.get('x-house-time'),
    );
    for (const [off, counts] of [
      [100_000, false],
      [140_000, true],
      [-400 * 86_400_000, true],
    ] as const) {
      const id = await bake();
      const at = new Date(heard + off).toISOString();
      const answer = await server.ask(
        'POST',
        `/api/v1/bakes/${id}/events`,
        { events: [note('x', at)] },
        { 'x-device-time': String(heard + off) },
      );
      const [event] = answer.json['events'] as Array<{ at: string }>;
      const moved = Math.abs(Date.parse(event!.at) - heard);
      if (counts) expect(moved, String(off)).to.be.lessThan(20_000);
      else expect(event!.at).to.equal(at);
    }
  });
});
