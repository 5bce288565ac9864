import { expect } from 'chai';
import { formatLimits, completeFormula } from '@tender-crumb/core/exchange';
import { defaultSettings } from '@tender-crumb/core/household';
import { bounded, jsonLimits } from '../src/lib/server/boundary/body.ts';
import { saveFormula, addFormula } from '../src/lib/server/store/formulas.ts';
import { listAside, mostAside } from '../src/lib/server/store/formula-asides.ts';
import { TestFolder } from './kitchen.ts';
import { TestServer } from './server.ts';

const flour = (grams: number) => ({ ingredient: 'bread-flour', grams });

describe('limits of what is taken', () => {
  const server = new TestServer();
  const ask = server.ask.bind(server);
  before(() => server.start());
  after(() => server.end());
  const evaluated = (json: unknown) => ask('POST', '/api/v1/evaluate', json);
  const lines = (n: number) => [{ lines: Array.from({ length: n }, () => flour(5)) }];

  it('JSON is bounded before anything is made of it', () => {
    const deep = (n: number) => '['.repeat(n) + ']'.repeat(n);
    expect(() => bounded(deep(jsonLimits.depth))).not.to.throw();
    expect(() => bounded(deep(jsonLimits.depth + 1))).to.throw('More than a formula');
    const wide = (n: number) =>
      `[${Array(n + 1)
        .fill('0')
        .join(',')}]`;
    expect(() => bounded(wide(jsonLimits.values))).not.to.throw();
    expect(() => bounded(wide(jsonLimits.values + 1))).to.throw('More than a formula');
    // Brackets inside a text are letters.
    expect(() => bounded(JSON.stringify({ a: `${'['.repeat(99)}\\"[[` }))).not.to.throw();
  });

  it('nested without end it is refused at once, and others are answered meanwhile', async () => {
    const answers = await Promise.all([
      evaluated('['.repeat(250_000)).then((a) => a.status),
      ask('POST', '/api/v1/evaluate', '['.repeat(250_000), {
        'content-type': 'application/json',
      }).then((a) => a.status),
      ask('POST', '/api/v1/evaluate', `500 g flour\n${'('.repeat(80_000)}`).then((a) => a.status),
      ask('GET', '/api/v1/household').then((a) => a.status),
    ]);
    expect(answers).to.deep.equal([200, 400, 200, 200]);
  });

  it('a line weighs nothing, or from a hundredth of a gram to 100 kg', async () => {
    const status = async (grams: number) =>
      (await evaluated({ stages: [{ lines: [flour(grams), flour(500)] }] })).status;
    for (const grams of [0, 0.01, 100_000])
      expect(await status(grams), String(grams)).to.equal(200);
    for (const grams of [0.0099, 1e-300, -0.01, 100_000.01]) {
      expect(await status(grams), String(grams)).to.equal(400);
    }
    const text = await ask('POST', '/api/v1/evaluate', '500 g flour\n0.001 g salt');
    expect([text.status, text.json['unread'][0].line]).to.deep.equal([200, 2]);
  });

  it('a formula is as large as a kitchen’s, all stages together', async () => {
    const two = (n: number) => ({ stages: [...lines(formatLimits.allLines / 2), ...lines(n)] });
    expect((await evaluated(two(formatLimits.allLines / 2))).status).to.equal(200);
    const over = await evaluated(two(formatLimits.allLines / 2 + 1));
    expect([over.status, over.json['errors'][0].where]).to.deep.equal([422, 'body.stages']);
    const taken = (n: number) => ({
      stages: lines(1),
      taken: Array.from({ length: n }, (_, i) => ({
        id: `t${i}`,
        slip: 's',
        changes: Array.from({ length: 30 }, () => ({ stage: 's1', ingredient: 'water', grams: 1 })),
      })),
    });
    expect((await evaluated(taken(formatLimits.allChanges / 30))).status).to.equal(200);
    const more = await evaluated(taken(formatLimits.allChanges / 30 + 1));
    expect([more.status, more.json['errors'][0].where]).to.deep.equal([422, 'body.taken']);
  });

  it('days and moments exist', async () => {
    const bag = (openedOn: string) =>
      ask('POST', '/api/v1/bags', { name: 'b', ingredient: 'rye-whole', openedOn });
    expect((await bag('2024-02-29')).status).to.equal(201);
    for (const day of ['2026-02-29', '2026-02-30', '2026-13-01', 'today', '2026-1-1']) {
      const refused = await bag(day);
      expect([refused.status, refused.json['errors'][0].where], day).to.deep.equal([
        400,
        'body.openedOn',
      ]);
    }
    const made = (await ask('POST', '/api/v1/formulas', { stages: lines(1) })).json;
    const bake = (startedAt: string) =>
      ask('POST', '/api/v1/bakes', { formulaId: made['id'], formulaVersion: 1, startedAt });
    expect((await bake('2026-02-28T08:00:00Z')).status).to.equal(201);
    for (const at of ['2026-02-30T08:00:00Z', '2026-02-28', '2026-02-28T25:00:00Z']) {
      expect((await bake(at)).status, at).to.equal(400);
    }
  });

  it('a figure of one’s own is one that there is, within its range, said at its name', async () => {
    const set = (figures: object) => ask('PATCH', '/api/v1/household', { figures });
    for (const value of [0, 20]) {
      expect((await set({ 'thirst:bread-flour': value })).status, String(value)).to.equal(200);
    }
    for (const [name, value] of [
      ['thirst:bread-flour', 20.01],
      ['thirst:bread-flour', -0.01],
      ['thirst:sand', 1],
      ['nonsense', 1],
    ] as const) {
      const refused = await set({ [name]: value });
      expect([refused.status, refused.json['errors'][0].where]).to.deep.equal([
        422,
        `body.figures.${name}`,
      ]);
    }
    const whole = await ask('PUT', '/api/v1/household', {
      ...defaultSettings,
      figures: { nonsense: 1 },
    });
    expect(whole.status).to.equal(422);
    expect((await ask('GET', '/api/v1/household')).json['figures']).to.deep.equal({
      'thirst:bread-flour': 20,
    });
    expect((await set({ 'thirst:bread-flour': null })).json['figures']).to.deep.equal({});
  });

  it('settings are changed field by field; what the whole cannot be is refused as a whole', async () => {
    const patch = (body: unknown) => ask('PATCH', '/api/v1/household', body);
    await Promise.all([
      patch({ room: { celsius: 18 } }),
      patch({ room: { humidity: 0.4 } }),
      patch({ measures: { cup: 'metric' } }),
      patch({ yeastKept: 'instant-yeast' }),
    ]);
    const { json } = await patch({ yeastKept: null });
    expect(json['room']).to.deep.equal({ celsius: 18, humidity: 0.4 });
    expect(json['measures'].cup).to.equal('metric');
    expect(json).not.to.have.property('yeastKept');
    const wrong = await patch({ room: { celsius: 99 } });
    expect([wrong.status, wrong.json['errors'][0].where]).to.deep.equal([400, 'body.room.celsius']);
    for (const body of [null, [], { measures: null }, { __proto__: null, nonsense: 1 }]) {
      expect((await patch(body)).status, JSON.stringify(body)).to.equal(400);
    }
  });

  it('pages of any number are pages that there are', async () => {
    for (const path of [
      '/?page=1e308',
      '/book?page=99999999999999999999',
      '/?page=-5',
      '/book?page=x',
    ]) {
      expect((await fetch(`${server.url}${path}`)).status, path).to.equal(200);
    }
    expect((await ask('GET', '/api/v1/formulas?offset=1e300')).status).to.equal(400);
  });

  it('an id of an event is its bake’s own; an id of a bake is one bread’s', async () => {
    const formula = async () =>
      (await ask('POST', '/api/v1/formulas', { stages: lines(1) })).json['id'] as string;
    const [one, two] = [await formula(), await formula()];
    const bake = (id: string, formulaId: string) =>
      ask('POST', '/api/v1/bakes', { id, formulaId, formulaVersion: 1 });
    expect((await bake('b1', one)).status).to.equal(201);
    expect((await bake('b1', one)).status).to.equal(201);
    const other = await bake('b1', two);
    expect([other.status, other.json['errors'][0].where]).to.deep.equal([409, 'body.id']);
    await bake('b2', two);
    const event = { id: 'same', at: '2026-05-01T08:00:00Z', kind: 'felt', data: { points: 1 } };
    for (const id of ['b1', 'b2']) {
      const { json } = await ask('POST', `/api/v1/bakes/${id}/events`, { events: [event, event] });
      expect(json['events']).to.have.length(1);
    }
  });

  it('a formula that is new may have its id from the page: sent twice it is one', async () => {
    const formula = (name: string) => ({ name, stages: lines(1) });
    const put = (version: number, name: string, draft?: string) =>
      ask('PUT', '/api/v1/formulas/page-made', { version, formula: formula(name), draft });
    expect((await put(0, 'New')).json).to.include({ id: 'page-made', version: 1 });
    expect((await put(0, 'New')).json).to.include({ version: 1 });
    expect((await put(0, 'Another')).status).to.equal(409);
    expect((await put(3, 'From nowhere')).status).to.equal(409);
    expect(
      (await ask('PUT', '/api/v1/formulas/nobody', { version: 2, formula: formula('x') })).status,
    ).to.equal(404);
    expect(
      (
        await ask('PUT', `/api/v1/formulas/${'x'.repeat(81)}`, {
          version: 0,
          formula: formula('x'),
        })
      ).status,
    ).to.equal(400);
    const versions = (await ask('GET', '/api/v1/formulas/page-made/versions')).json;
    expect(versions['versions'][0]).to.include({ version: 1, device: 'the main machine' });
  });
});

describe('one’s own saves', () => {
  const loaf = (name: string) => completeFormula({ name, stages: [{ lines: [flour(500)] }] });

  it('are not stale to oneself when an answer was lost; another’s between them makes them so', async () => {
    const folder = new TestFolder();
    try {
      const db = await folder.open();
      await addFormula(db, loaf('0'), { id: 'f' });
      const save = async (basedOn: number, name: string, draft: string) =>
        (await saveFormula(db, 'f', basedOn, loaf(name), { draft })).outcome;
      expect(await save(1, 'a1', 'a')).to.equal('saved');
      expect(await save(1, 'a2', 'a')).to.equal('saved');
      expect(await save(1, 'b1', 'b')).to.equal('stale');
      expect(await save(3, 'b1', 'b')).to.equal('saved');
      expect(await save(1, 'a3', 'a')).to.equal('stale');
      expect(await save(3, 'a3', 'a')).to.equal('stale');
      // Of a sitting the newest stands aside, once.
      expect((await listAside(db, 'f')).map((a) => a.formula.name)).to.deep.equal(['a3', 'b1']);
      for (let i = 0; i < 5; i += 1) await save(1, 'a4', 'a');
      expect((await listAside(db, 'f')).map((a) => a.formula.name)).to.deep.equal(['a4', 'b1']);
      for (let i = 0; i < mostAside + 5; i += 1) await save(1, `c${i}`, `c${i}`);
      const aside = await listAside(db, 'f');
      expect(aside).to.have.length(mostAside);
      expect(aside[0]!.formula.name).to.equal(`c${mostAside + 4}`);
    } finally {
      await folder.end();
    }
  });
});
