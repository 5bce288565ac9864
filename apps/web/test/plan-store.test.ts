import { testTime } from '../../../scripts/test-clock.mjs';
import { expect } from 'chai';
import { copyFileSync, mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { TestServer } from './server.ts';

const line = (id: string, ingredient: string, grams: number) => ({
  id,
  ingredient,
  grams,
  measured: 'scale',
});
const formula = {
  format: 'tender-crumb/formula-2',
  name: 'Lockside tin loaf',
  style: 'pan',
  stages: [
    {
      id: 's1',
      kind: 'dough',
      name: 'Dough',
      lines: [
        line('a', 'bread-flour', 500),
        line('b', 'water', 320),
        line('c', 'salt', 10),
        line('d', 'instant-yeast', 5),
      ],
    },
  ],
  taken: [],
  left: [],
};

describe('API of what is planned, and of timers', () => {
  const server = new TestServer();
  before(async () => {
    await server.start();
    const { status } = await server.ask('PUT', '/api/v1/formulas/tin', { version: 0, formula });
    expect(status).to.be.below(300);
  });
  after(() => server.end());
  const put = (id: string, body: object) => server.ask('PUT', `/api/v1/plans/${id}`, body);
  const plans = async () => (await server.ask('GET', '/api/v1/plans')).json;
  const wish = { formulaId: 'tin', readyBy: '2026-11-28T13:00:00+01:00' };

  it('a plan is kept with its wish, and read with all that its times are worked out of', async () => {
    expect(await put('p', { version: 0, ...wish })).to.deep.include({ status: 200 });
    const { plans: all, formulas, zone, household } = await plans();
    expect(all).to.have.length(1);
    expect(all[0]).to.include({ id: 'p', version: 1, ...wish });
    expect(formulas['p'].name).to.equal('Lockside tin loaf');
    expect(zone).to.be.a('string');
    expect(household.week.asleep[0].from).to.equal('22:30');
  });

  it('sent twice it is once; changed from an older one it is refused, with how it stands', async () => {
    const facts = { mix: { start: '2026-11-28T09:00:00Z' } };
    expect((await put('p', { version: 1, ...wish, facts })).json['version']).to.equal(2);
    expect((await put('p', { version: 1, ...wish, facts })).json['version']).to.equal(2);
    const stale = await put('p', { version: 1, ...wish });
    expect(stale.status).to.equal(409);
    expect(stale.json['current'].facts).to.deep.equal(facts);
  });

  it('of a bread or a bake that is not there, nothing is planned', async () => {
    const no = await put('q', { version: 0, formulaId: 'nothing' });
    expect([no.status, no.json['errors'][0].where]).to.deep.equal([422, 'body.formulaId']);
    const bake = await put('q', { version: 0, ...wish, bakeId: 'nothing' });
    expect([bake.status, bake.json['errors'][0].where]).to.deep.equal([422, 'body.bakeId']);
    expect((await put('q', { version: 0, ...wish, roomC: 46 })).status).to.equal(400);
    expect(
      (await put('q', { version: 0, ...wish, facts: { mix: { end: 'later' } } })).status,
    ).to.equal(400);
  });

  it('what was begun is read with it, and what is over is planned no more', async () => {
    const begun = await server.ask('POST', '/api/v1/bakes', {
      id: 'bake',
      formulaId: 'tin',
      formulaVersion: 1,
      method: 'hand',
    });
    expect(begun.status).to.equal(201);
    expect((await put('p', { version: 2, ...wish, bakeId: 'bake' })).status).to.equal(200);
    const [plan] = (await plans())['plans'];
    expect(plan.begun.events).to.deep.equal([]);
    const at = testTime().toISOString();
    await server.ask('POST', '/api/v1/bakes/bake/events', {
      events: [{ id: 'e1', at, kind: 'finished', data: {} }],
    });
    expect((await plans())['plans']).to.deep.equal([]);
  });

  it('is taken off, once and again', async () => {
    await put('r', { version: 0, ...wish });
    expect((await server.ask('DELETE', '/api/v1/plans/r')).status).to.equal(200);
    expect((await server.ask('DELETE', '/api/v1/plans/r')).status).to.equal(200);
    expect((await plans())['plans']).to.deep.equal([]);
  });

  it('a starter’s feedings: written once, mended, taken out; the last one dates it', async () => {
    const starter = {
      kind: 'starter',
      name: 'Barge',
      ingredient: 'rye-whole',
      hydration: 1,
      keptAt: 'fridge',
    };
    const { id } = (await server.ask('POST', '/api/v1/bags', starter)).json;
    const path = `/api/v1/bags/${id}/feedings`;
    const feeding = { at: '2026-11-20T20:00:00Z', seed: 20, flour: 50, water: 50 };
    expect((await server.ask('PUT', `${path}/f1`, feeding)).status).to.equal(200);
    expect(
      (await server.ask('PUT', `${path}/f1`, { ...feeding, peakAt: '2026-11-21T05:00:00Z' }))
        .status,
    ).to.equal(200);
    await server.ask('PUT', `${path}/f2`, { ...feeding, at: '2026-11-22T20:00:00Z' });
    const fedOn = async () => {
      const { bags } = (await server.ask('GET', '/api/v1/bags')).json;
      return (bags as Array<{ id: string; fedOn?: string }>).find((b) => b.id === id)?.fedOn;
    };
    expect(await fedOn()).to.equal('2026-11-22');
    await server.ask('DELETE', `${path}/f2`);
    expect(await fedOn()).to.equal('2026-11-20');
    await server.ask('DELETE', `${path}/f1`);
    expect(await fedOn()).to.equal(undefined);
    expect((await server.ask('PUT', `${path}/f3`, { ...feeding, seed: 0 })).status).to.equal(400);
    expect((await server.ask('PUT', `${path}/f3`, { ...feeding, flour: 20_001 })).status).to.equal(
      400,
    );
    const { id: flour } = (
      await server.ask('POST', '/api/v1/bags', { name: 'Sack', ingredient: 'bread-flour' })
    ).json;
    expect((await server.ask('PUT', `/api/v1/bags/${flour}/feedings/f`, feeding)).status).to.equal(
      404,
    );
  });

  it('a bake’s feeding is the jar’s too, its peak with it; taken back in the bake, it is gone here', async () => {
    const starter = { kind: 'starter', name: 'Barge two', ingredient: 'rye-whole' };
    const { id: jar } = (await server.ask('POST', '/api/v1/bags', starter)).json;
    const formula = {
      name: 'Barge loaf',
      stages: [{ lines: [{ ingredient: 'rye-whole', grams: 400 }] }],
    };
    const { id: formulaId } = (await server.ask('POST', '/api/v1/formulas', formula)).json;
    const { id: bake } = (
      await server.ask('POST', '/api/v1/bakes', { formulaId, formulaVersion: 1 })
    ).json;
    const say = (id: string, hour: number, kind: string, data: object) =>
      server.ask('POST', `/api/v1/bakes/${bake}/events`, {
        events: [{ id, at: `2026-11-20T${String(hour).padStart(2, '0')}:00:00Z`, kind, data }],
      });
    const feedings = async () =>
      (await server.ask('GET', `/api/v1/bags/${jar}/feedings`)).json['feedings'] as Array<{
        id: string;
        seed: number;
        peakAt?: string;
        bake?: string;
      }>;
    const fedOn = async () => {
      const { bags } = (await server.ask('GET', '/api/v1/bags')).json;
      return (bags as Array<{ id: string; fedOn?: string }>).find((b) => b.id === jar)?.fedOn;
    };
    await say('fed', 8, 'fed', { stage: 's1', jar, seed: 10, flour: 50, water: 45 });
    const [fed, ...others] = await feedings();
    expect(others).to.deep.equal([]);
    expect(fed).to.include({ seed: 10, bake });
    expect(await fedOn()).to.equal('2026-11-20');
    // Told at the jar, and told in the bake: whoever saw it first is right.
    const path = `/api/v1/bags/${jar}/feedings/${fed!.id}`;
    await server.ask('PUT', `${path}/peak`, { at: '2026-11-20T15:00:00Z' });
    expect((await feedings())[0]!.peakAt).to.equal('2026-11-20T15:00:00Z');
    await server.ask('PUT', `${path}/peak`, { at: '2026-11-20T16:00:00Z' });
    expect((await feedings())[0]!.peakAt).to.equal('2026-11-20T15:00:00Z');
    // By the moment, and not by how it is written: later in the day elsewhere, an hour before.
    const elsewhere = '2026-11-20T18:00:00+04:00';
    await server.ask('PUT', `${path}/peak`, { at: elsewhere });
    expect((await feedings())[0]!.peakAt).to.equal(elsewhere);
    await server.ask('PUT', `${path}/peak`, { at: '2026-11-20T15:00:00Z' });
    expect((await feedings())[0]!.peakAt).to.equal(elsewhere);
    await say('peak', 13, 'peaked', { stage: 's1' });
    expect((await feedings())[0]!.peakAt).to.equal('2026-11-20T13:00:00Z');
    expect(
      (await server.ask('PUT', `${path}x/peak`, { at: '2026-11-20T15:00:00Z' })).status,
    ).to.equal(404);
    expect((await server.ask('DELETE', path)).status).to.equal(409);
    await say('no-peak', 19, 'retracted', { event: 'peak' });
    expect((await feedings())[0]!.peakAt).to.equal(undefined);
    await say('back', 20, 'retracted', { event: 'fed' });
    expect(await feedings()).to.deep.equal([]);
    expect(await fedOn()).to.equal(undefined);
    // Nobody's jar, and a sack of flour, are fed by nobody.
    await say('gone', 21, 'fed', { stage: 's1', jar: 'gone', seed: 10, flour: 50, water: 45 });
    expect(await feedings()).to.deep.equal([]);
    // The jar was fed, whatever becomes of the bake; with that gone, it is taken out here.
    await say('again', 22, 'fed', { stage: 's1', jar, seed: 10, flour: 50, water: 45 });
    const [kept] = await feedings();
    expect(kept!.bake).to.equal(bake);
    await server.ask('DELETE', `/api/v1/bakes/${bake}`);
    expect((await feedings()).map((f) => [f.id, f.bake])).to.deep.equal([[kept!.id, undefined]]);
    const out = `/api/v1/bags/${jar}/feedings/${kept!.id}`;
    expect((await server.ask('DELETE', out)).status).to.equal(200);
    expect(await feedings()).to.deep.equal([]);
  });

  it('timers outlive the server, and are stopped', async () => {
    const timer = { name: 'Soak the oats', dueAt: '2026-11-28T13:00:00Z' };
    expect((await server.ask('PUT', '/api/v1/timers/t', timer)).status).to.equal(200);
    expect((await server.ask('PUT', '/api/v1/timers/u', { ...timer, name: ' ' })).status).to.equal(
      400,
    );
    await server.kill('SIGTERM');
    await server.start();
    const { timers } = (await server.ask('GET', '/api/v1/timers')).json;
    expect(timers).to.deep.equal([{ id: 't', ...timer }]);
    await server.ask('DELETE', '/api/v1/timers/t');
    expect((await server.ask('GET', '/api/v1/timers')).json['timers']).to.deep.equal([]);
  });
});

describe('a database with plans, timers and feedings, as an earlier version left it', () => {
  const server = new TestServer();
  before(async () => {
    mkdirSync(dirname(server.file), { recursive: true });
    copyFileSync(resolve('apps/web/test/fixtures/seventh-2026-11.db'), server.file);
    await server.start();
  });
  after(() => server.end());

  it('opens with all of it', async () => {
    const { plans, timers, household } = (await server.ask('GET', '/api/v1/plans')).json;
    expect(plans[0]).to.include({
      id: 'p',
      formulaId: 'tin',
      version: 1,
      roomC: 19,
      readyBy: '2026-11-28T13:00:00+01:00',
    });
    expect(plans[0].ways).to.deep.equal(['as-it-is']);
    expect(plans[0].locks).to.deep.equal({ bake: '2026-11-28T11:00:00Z' });
    expect(timers).to.deep.equal([
      { id: 't', name: 'Soak the oats', dueAt: '2026-11-28T13:00:00Z' },
    ]);
    expect(household).to.include({ people: 2, zone: 'Europe/Berlin' });
    expect(household.appliances[0]).to.include({ name: 'The range', holds: 2 });
    expect(household.bags[0]).to.include({ kind: 'starter', fedOn: '2026-11-20' });
  });
});
