import { expect } from 'chai';
import { TestServer } from './server.ts';

const loaf = {
  name: 'Loaf',
  style: 'pan',
  stages: [
    {
      lines: [
        { ingredient: 'bread-flour', grams: 500 },
        { ingredient: 'water', grams: 310 },
        { ingredient: 'salt', grams: 9 },
        { ingredient: 'instant-yeast', grams: 5 },
      ],
    },
  ],
};

describe('API', () => {
  const server = new TestServer();
  const { ask } = { ask: server.ask.bind(server) };
  before(() => server.start());
  after(() => server.end());

  describe('evaluate', () => {
    it('a recipe as written', async () => {
      const { status, json } = await ask(
        'POST',
        '/api/v1/evaluate?style=hearth-wholegrain',
        '500 g flour\n400 g water\n100 g starter (100 % hydration)\n8 g salt\nsalt to taste',
      );
      expect(status).to.equal(200);
      expect(json['totals']).to.include({
        flourGrams: 550,
        pouredWaterGrams: 450,
        doughGrams: 1008,
      });
      expect(json['totals'].hydrationTotalFlour).to.be.closeTo(81.8, 0.05);
      expect(json['totals'].hydrationAddedFlour).to.be.closeTo(80, 1e-9);
      expect(json['totals'].saltPercent).to.be.closeTo(1.45, 0.005);
      expect(json['totals'].prefermentedFlourPercent).to.be.closeTo(9.1, 0.05);
      expect(json['level'].window).to.deep.equal([3, 15]);
      expect(json['level'].low).to.be.lessThan(json['level'].points);
      expect(json['level'].high).to.be.greaterThan(json['level'].points);
      expect(json['unread']).to.have.length(1);
      expect(json['unread'][0]).to.include({
        line: 5,
        text: 'salt to taste',
        why: 'no amount: write how much',
      });
      expect(json['unread'][0].might).to.include('salt');
      const [hold] = json['corrections'];
      expect(hold).to.include({ kind: 'water', ingredient: 'water' });
      expect(hold.grams).to.be.lessThan(0);
      expect(hold.spoons).to.match(/spoon|cup/);
      expect(json['cautions'].map((c: { id: string }) => c.id)).to.include('gluten');
    });

    it('a formula, and its own answer again', async () => {
      const first = await ask('POST', '/api/v1/evaluate', loaf);
      const again = await ask('POST', '/api/v1/evaluate', first.json['formula']);
      expect(first.status).to.equal(200);
      expect(again.json).to.deep.equal(first.json);
    });

    it('cups, spoons, filling, room and humidity change the answer', async () => {
      const cups = '3 cups bread flour\n1 cup water\n1 tbsp honey';
      const flour = async (query: string) =>
        (await ask('POST', `/api/v1/evaluate?${query}`, cups)).json['totals'].flourGrams as number;
      expect(await flour('')).to.be.closeTo(375, 1e-6);
      expect(await flour('fill=dipped')).to.be.closeTo(435, 1e-6);
      expect(await flour('fill=fresh')).to.be.closeTo(336, 1e-6);
      expect(await flour('cup=metric')).to.be.closeTo((375 * 250) / 236.5882365, 1e-6);
      const points = async (query: string) =>
        (await ask('POST', `/api/v1/evaluate?${query}`, loaf)).json['level'].points as number;
      expect(await points('roomC=21&humidity=80')).to.be.greaterThan(
        await points('roomC=21&humidity=40'),
      );
    });

    const bad: ReadonlyArray<
      readonly [
        what: string,
        status: number,
        where: RegExp,
        path: string,
        body: unknown,
        type?: string,
      ]
    > = [
      ['not JSON', 400, /body/, '', '{"stages": [', 'application/json'],
      ['an empty body', 400, /body/, '', '', 'application/json'],
      ['null', 400, /body/, '', null],
      ['a list', 400, /body/, '', []],
      [
        'words for numbers',
        400,
        /stages\[0\]\.lines\[0\]\.grams/,
        '',
        { stages: [{ lines: [{ ingredient: 'water', grams: 'some' }] }] },
      ],
      [
        'a negative amount',
        400,
        /lines\[0\]\.grams/,
        '',
        { stages: [{ lines: [{ ingredient: 'bread-flour', grams: -5 }] }] },
      ],
      [
        'an absurd amount',
        400,
        /lines\[0\]\.grams/,
        '',
        { stages: [{ lines: [{ ingredient: 'bread-flour', grams: 1e9 }] }] },
      ],
      [
        'an unknown ingredient',
        400,
        /lines\[0\]\.ingredient/,
        '',
        { stages: [{ lines: [{ ingredient: 'sand', grams: 5 }] }] },
      ],
      [
        'an unknown measure',
        400,
        /lines\[0\]\.measured/,
        '',
        { stages: [{ lines: [{ ingredient: 'water', grams: 5, measured: 'bucket' }] }] },
      ],
      ['a text of nothing', 422, /body/, '', '   '],
      ['an unknown style', 400, /query\.style/, '?style=brick', loaf],
      ['an unknown cup', 400, /query\.cup/, '?cup=tea', loaf],
      ['an unknown question', 400, /query\.colour/, '?colour=blue', loaf],
      ['a room on fire', 400, /query\.roomC/, '?roomC=600', loaf],
      ['10 MB of text', 413, /body/, '', 'a'.repeat(10_000_000)],
      ['another type', 415, /content-type/, '', '<flour/>', 'application/xml'],
    ];
    for (const [what, status, where, path, body, type] of bad) {
      it(`${what}: ${status}, said where`, async () => {
        const answer = await ask(
          'POST',
          `/api/v1/evaluate${path}`,
          body,
          type ? { 'content-type': type } : {},
        );
        expect(answer.status).to.equal(status);
        expect(answer.type).to.contain('application/problem+json');
        const places = answer.json['errors'].map((e: { where: string }) => e.where).join(' ');
        expect(places).to.match(where);
        expect(answer.json['errors'][0].what).not.to.equal('');
        expect(JSON.stringify(answer.json)).not.to.match(/\bat .*\.js:\d+/);
      });
    }

    it('of any text it says what was read, all that was not, and that nothing can be told', async () => {
      const cases: ReadonlyArray<readonly [unknown, number]> = [
        ['200 g water', 0],
        ['3 firkins flour', 1],
        ['5000000 kg flour\n-20 g salt', 2],
        ['500 g vehnäjauhoja\n300 g vettä', 2],
        [{ stages: [{ lines: [{ ingredient: 'water', grams: 5 }] }] }, 0],
      ];
      for (const [body, unread] of cases) {
        const { status, json } = await ask('POST', '/api/v1/evaluate', body);
        expect(status, JSON.stringify(body)).to.equal(200);
        expect(json['level']).to.include({ state: 'cannot tell', points: null, why: 'no-flour' });
        expect(json['level'].ask).to.contain('flour');
        expect(json['unread']).to.have.length(unread);
      }
    });

    it('text that is not UTF-8 is refused', async () => {
      const response = await fetch(`${server.url}/api/v1/evaluate`, {
        method: 'POST',
        headers: { 'content-type': 'text/plain' },
        body: new Uint8Array([0xff, 0xfe, 0x35]),
      });
      expect(response.status).to.equal(400);
    });
  });

  describe('formulas', () => {
    it('are stored, listed, read and saved in versions', async () => {
      const made = await ask('POST', '/api/v1/formulas', loaf);
      expect(made.status).to.equal(201);
      const { id, formula } = made.json as { id: string; formula: { name: string } };
      const saved = await ask('PUT', `/api/v1/formulas/${id}`, {
        version: 1,
        formula: { ...formula, name: 'Better' },
      });
      expect(saved.json).to.include({ version: 2 });
      const read = await ask('GET', `/api/v1/formulas/${id}`);
      expect(read.json).to.include({ version: 2 });
      expect(read.json['formula'].name).to.equal('Better');
      expect((await ask('GET', `/api/v1/formulas/${id}?version=1`)).json['formula'].name).to.equal(
        'Loaf',
      );
      const list = await ask('GET', '/api/v1/formulas?search=Bett');
      expect(list.json['formulas'].map((f: { id: string }) => f.id)).to.include(id);
    });

    it('a save from a stale copy is refused, with both versions kept', async () => {
      const { json: made } = await ask('POST', '/api/v1/formulas', loaf);
      const path = `/api/v1/formulas/${made['id']}`;
      const save = (version: number, name: string) =>
        ask('PUT', path, { version, formula: { ...made['formula'], name } });
      expect((await save(1, 'Theirs')).status).to.equal(200);
      const stale = await save(1, 'Mine');
      expect(stale.status).to.equal(409);
      expect(stale.json['current'].formula.name).to.equal('Theirs');
      const kept = await ask('GET', path);
      expect(kept.json['formula'].name).to.equal('Theirs');
      expect(
        kept.json['aside'].map((a: { formula: { name: string } }) => a.formula.name),
      ).to.deep.equal(['Mine']);
      // The acknowledgement was lost and the same save comes again: it is the same save.
      expect((await save(1, 'Theirs')).json).to.include({ version: 2 });
    });

    it('of twenty saves of one copy at once, one wins and none is lost', async () => {
      const { json: made } = await ask('POST', '/api/v1/formulas', loaf);
      const path = `/api/v1/formulas/${made['id']}`;
      const answers = await Promise.all(
        Array.from({ length: 20 }, (_, i) =>
          ask('PUT', path, { version: 1, formula: { ...made['formula'], name: `Copy ${i}` } }),
        ),
      );
      expect(answers.filter((a) => a.status === 200)).to.have.length(1);
      const { json } = await ask('GET', path);
      const names = [json['formula'], ...json['aside'].map((a: { formula: unknown }) => a.formula)];
      expect(new Set(names.map((f: { name: string }) => f.name)).size).to.equal(20);
    });

    it('nothing is stored of what is refused; what is not there is 404', async () => {
      const before = (await ask('GET', '/api/v1/formulas')).json['total'] as number;
      await ask('POST', '/api/v1/formulas', { ...loaf, stages: [] });
      expect((await ask('GET', '/api/v1/formulas')).json['total']).to.equal(before);
      expect((await ask('GET', '/api/v1/formulas/none')).status).to.equal(404);
      expect(
        (await ask('PUT', '/api/v1/formulas/none', { version: 1, formula: loaf })).status,
      ).to.equal(404);
      expect((await ask('GET', '/api/v1/formulas?limit=9999')).status).to.equal(400);
    });

    it('the schema is published', async () => {
      for (const version of [1, 2]) {
        const { status, json } = await ask('GET', `/schemas/formula-${version}.json`);
        expect(status).to.equal(200);
        expect(json['$id']).to.equal(`/schemas/formula-${version}.json`);
        expect(json['properties'].stages.items.properties.lines.items.required).to.deep.equal([
          'ingredient',
          'grams',
        ]);
      }
      for (const version of ['3', 'toString']) {
        expect((await ask('GET', `/schemas/formula-${version}.json`)).status).to.equal(404);
      }
    });
  });

  it('a formula that names a stage, bag or key that is not there is refused at its field', async () => {
    const change = { stage: 's9', ingredient: 'water', grams: 5 };
    const cases: ReadonlyArray<readonly [object, number, string]> = [
      [
        { taken: [{ id: 't1', correction: 'w', changes: [change] }] },
        422,
        'body.taken[0].changes[0].stage',
      ],
      [{ steps: [{ says: 'Fold.', stage: 's9' }] }, 422, 'body.steps[0].stage'],
      [{ unread: [{ text: '3 blorps', after: 'l9' }] }, 422, 'body.unread[0].after'],
      [{ colour: 'blue' }, 400, 'body.colour'],
      [
        { stages: [{ lines: [{ ingredient: 'water', grams: 5, bag: 'none', id: 'l1' }] }] },
        422,
        'body.stages[0].lines[0].bag',
      ],
      [
        { stages: [{ id: 's1', kind: 'starter', bag: 'none', lines: [] }] },
        422,
        'body.stages[0].bag',
      ],
    ];
    for (const [over, status, where] of cases) {
      const answer = await ask('POST', '/api/v1/formulas', { ...loaf, ...over });
      expect(answer.status, where).to.equal(status);
      expect(answer.json['errors'][0].where).to.equal(where);
    }
  });

  describe('bakes', () => {
    it('a bread without a formula is baked by its name, and teaches nothing', async () => {
      const begun = await ask('POST', '/api/v1/bakes', {
        id: 'guests',
        name: 'From the neighbours',
      });
      expect(begun.status).to.equal(201);
      expect(begun.json).to.include({ formulaName: 'From the neighbours' });
      expect(begun.json).not.to.have.any.keys('formulaId', 'formulaVersion', 'forecast');
      expect(
        (await ask('POST', '/api/v1/bakes', { id: 'guests', name: 'Another' })).status,
      ).to.equal(409);
      const { json } = await ask('POST', '/api/v1/bakes/guests/events', {
        events: [
          { id: 'a', at: at(1), kind: 'outcome', data: { stars: 5, words: [], note: '' } },
          { id: 'b', at: at(2), kind: 'finished', data: {} },
        ],
      });
      expect(json['outcome']).to.deep.equal({ stars: 5, words: [], note: '' });
      expect(json).not.to.have.property('lesson');
      for (const body of [{}, { name: ' ' }, { name: 'A', formulaId: 'x' }, { formulaId: 'x' }]) {
        expect((await ask('POST', '/api/v1/bakes', body)).status, JSON.stringify(body)).to.equal(
          400,
        );
      }
    });

    const at = (minute: number) => `2026-05-01T08:${String(minute).padStart(2, '0')}:00.000Z`;
    const begin = async () => {
      const { json: made } = await ask('POST', '/api/v1/formulas', loaf);
      const begun = await ask('POST', '/api/v1/bakes', {
        formulaId: made['id'],
        formulaVersion: 1,
        method: 'hand',
      });
      expect(begun.status).to.equal(201);
      return { id: begun.json['id'] as string, formulaId: made['id'] as string };
    };
    const tight = (id: string) => [
      { id: `${id}-felt`, at: at(9), kind: 'felt', data: { points: -6 } },
      { id: `${id}-add`, at: at(10), kind: 'added', data: { ingredient: 'water', grams: 15 } },
      { id: `${id}-felt2`, at: at(14), kind: 'felt', data: { points: 0 } },
      {
        id: `${id}-out`,
        at: at(50),
        kind: 'outcome',
        data: { stars: 4, words: ['dense'], note: 'Good' },
      },
      { id: `${id}-end`, at: at(51), kind: 'finished', data: {} },
    ];

    it('events sent twice count once; a finished bake has taught', async () => {
      const { id, formulaId } = await begin();
      await ask('POST', `/api/v1/bakes/${id}/events`, { events: tight(id).slice(0, 2) });
      await ask('POST', `/api/v1/bakes/${id}/events`, { events: tight(id) });
      const { json } = await ask('POST', `/api/v1/bakes/${id}/events`, { events: tight(id) });
      expect(json['events']).to.have.length(5);
      expect(json['lesson'].added).to.deep.equal([{ ingredient: 'water', grams: 15 }]);
      expect(json['lesson'].next.points).to.be.lessThan(json['lesson'].forecast.points);
      const list = await ask('GET', `/api/v1/bakes?formula=${formulaId}`);
      expect(list.json['bakes'][0]).to.include({ id, formulaVersion: 1 });
    });

    it('a finished bake that is mended is learned again, as if it had been so at once', async () => {
      const { id } = await begin();
      await ask('POST', `/api/v1/bakes/${id}/events`, { events: tight(id) });
      const mend = {
        id: `${id}-mend`,
        at: at(52),
        kind: 'retracted',
        data: { event: `${id}-add` },
      };
      await ask('POST', `/api/v1/bakes/${id}/events`, { events: [mend] });
      await server.learned();
      const { json } = await ask('GET', `/api/v1/bakes/${id}`);
      expect(json['lesson'].added).to.deep.equal([]);
    });

    it('refuses events that cannot be', async () => {
      const { id } = await begin();
      const send = (event: object) =>
        ask('POST', `/api/v1/bakes/${id}/events`, { events: [event] });
      expect((await send({ id: 'x', at: at(1), kind: 'exploded', data: {} })).status).to.equal(400);
      expect(
        (await send({ id: 'x', at: 'noon', kind: 'felt', data: { points: 1 } })).status,
      ).to.equal(400);
      expect(
        (await send({ id: 'x', at: at(1), kind: 'felt', data: { points: 1000 } })).status,
      ).to.equal(400);
      expect(
        (await ask('POST', '/api/v1/bakes/none/events', { events: tight('n') })).status,
      ).to.equal(404);
      expect(
        (await ask('POST', '/api/v1/bakes', { formulaId: 'none', formulaVersion: 1 })).status,
      ).to.equal(404);
      expect((await ask('GET', `/api/v1/bakes/${id}`)).json['events']).to.deep.equal([]);
    });
  });

  describe('the door', () => {
    const post = (headers: Record<string, string>) =>
      fetch(`${server.url}/api/v1/evaluate`, {
        method: 'POST',
        headers: { 'content-type': 'text/plain', ...headers },
        body: '500 g flour',
      });

    it('a page of another origin is refused, ours is not, by either name', async () => {
      expect((await post({ origin: 'https://elsewhere.example' })).status).to.equal(403);
      expect((await post({ origin: server.url })).status).to.equal(200);
      const byName = server.url.replace('127.0.0.1', 'localhost');
      const response = await fetch(`${byName}/api/v1/household`).catch(() => undefined);
      if (response) expect(response.status).to.equal(200);
    });

    it('pages carry a policy and say no more than they must', async () => {
      const { headers } = await fetch(server.url);
      expect(headers.get('content-security-policy')).to.contain("default-src 'self'");
      expect(headers.get('x-content-type-options')).to.equal('nosniff');
      expect(headers.get('x-powered-by')).to.equal(null);
    });

    it('own data begin empty and never see the demo', async () => {
      const { json } = await ask('GET', '/api/v1/bags');
      expect(json['bags']).to.deep.equal([]);
    });
  });
});
