import { expect } from 'chai';
import { bookAsked } from '../src/lib/server/boundary/book-query.ts';
import { TestServer } from './server.ts';

const formula = (name: string) => ({
  name,
  stages: [
    {
      lines: [
        { ingredient: 'bread-flour', grams: 500 },
        { ingredient: 'water', grams: 320 },
        { ingredient: 'salt', grams: 9 },
      ],
    },
  ],
});

describe('what the address of the book asks for', () => {
  it('is read where it can be, and passed over where not', () => {
    const of = (text: string) => bookAsked(new URLSearchParams(text));
    expect(
      of(
        'formula=a-1&bag=blue&season=winter&stars=5&method=hand&day=2026-05-01&words= dense  toast ',
      ),
    ).to.deep.equal({
      formula: 'a-1',
      bag: 'blue',
      season: 'winter',
      months: [12, 1, 2],
      stars: 5,
      method: 'hand',
      day: '2026-05-01',
      words: 'dense  toast',
    });
    expect(
      of("formula=a';--&bag=../x&season=monsoon&stars=6&method=magic&day=2026-02-30&words="),
    ).to.deep.equal({});
    expect(of('stars=0').stars).to.equal(undefined);
    expect(of('stars=1').stars).to.equal(1);
    expect(of(`words=${'x'.repeat(999)}`).words).to.have.length(200);
  });
});

describe('the book of a household', () => {
  const server = new TestServer();
  const page = async (query = '') => (await fetch(`${server.url}/book${query}`)).text();
  const bakes = async (query: string) => {
    const text = await page(query);
    return [...new Set([...text.matchAll(/href="\/book\/(b\d+)"/g)].map((m) => m[1]))].sort();
  };
  before(async () => {
    await server.start();
    const ids: string[] = [];
    for (const name of ['Weir loaf', 'Ferry rolls'])
      ids.push((await server.ask('POST', '/api/v1/formulas', formula(name))).json['id'] as string);
    const told = [
      ['b1', 0, '2026-01-10', 5, 'Thin crust, 100 % right', 'hand'],
      ['b2', 0, '2026-05-11', 2, 'A brick_with holes', 'mixer'],
      ['b3', 1, '2026-05-11', 4, 'Soft', 'hand'],
    ] as const;
    for (const [id, of, day, stars, note, method] of told) {
      await server.ask('POST', '/api/v1/bakes', {
        id,
        formulaId: ids[of],
        formulaVersion: 1,
        method,
        startedAt: `${day}T08:00:00Z`,
      });
      await server.ask('POST', `/api/v1/bakes/${id}/events`, {
        events: [
          { id: 'o', at: `${day}T10:00:00Z`, kind: 'outcome', data: { stars, words: [], note } },
          {
            id: 'n',
            at: `${day}T10:01:00Z`,
            kind: 'note',
            data: { step: 'bake', text: `foil ${id}` },
          },
          { id: 'e', at: `${day}T11:00:00Z`, kind: 'finished', data: {} },
        ],
      });
    }
  });
  after(() => server.end());

  it('is looked through by bread, season, day, way, outcome and words, and all of these together', async () => {
    expect(await bakes('')).to.deep.equal(['b1', 'b2', 'b3']);
    expect(await bakes('?season=winter')).to.deep.equal(['b1']);
    expect(await bakes('?day=2026-05-11')).to.deep.equal(['b2', 'b3']);
    expect(await bakes('?day=2026-05')).to.deep.equal(['b2', 'b3']);
    expect(await bakes('?day=2026-13')).to.deep.equal(['b1', 'b2', 'b3']);
    expect(await bakes('?method=mixer')).to.deep.equal(['b2']);
    expect(await bakes('?stars=4')).to.deep.equal(['b3']);
    expect(await bakes('?words=weir')).to.deep.equal(['b1', 'b2']);
    expect(await bakes('?words=weir%20crust')).to.deep.equal(['b1']);
    expect(await bakes('?words=foil%20b3')).to.deep.equal(['b3']);
    expect(await bakes('?words=weir&stars=2&season=spring')).to.deep.equal(['b2']);
    expect(await bakes('?words=nowhere')).to.deep.equal([]);
  });

  it('signs that mean something to a database are only signs', async () => {
    expect(await bakes('?words=%25')).to.deep.equal(['b1']);
    expect(await bakes('?words=brick_with')).to.deep.equal(['b2']);
    expect(await bakes('?words=bric__with')).to.deep.equal([]);
    // Nor are the names that an outcome is kept under.
    for (const name of ['note', 'stars', 'words', 'text', 'step'])
      expect(await bakes(`?words=${name}`), name).to.deep.equal([]);
    expect(await bakes("?words='%20or%201=1%20--")).to.deep.equal([]);
  });

  it('a bake says what differed from the one before', async () => {
    const text = await page('/b2');
    expect(text).to.contain('Since the bake before');
    expect(text).to.contain('bowl of a mixer');
  });

  it('a bake as Markdown, its marks escaped', async () => {
    const answer = await fetch(`${server.url}/api/v1/bakes/b2/sheet`);
    expect(answer.headers.get('content-type')).to.contain('text/markdown');
    const text = await answer.text();
    expect(text).to.contain('# Weir loaf');
    expect(text).to.contain('A brick\\_with holes');
    expect((await fetch(`${server.url}/api/v1/bakes/none/sheet`)).status).to.equal(404);
  });

  it('bakes as a table begin with the mark that a spreadsheet looks for', async () => {
    const bytes = new Uint8Array(
      await (await fetch(`${server.url}/api/v1/kitchen/bakes.csv`)).arrayBuffer(),
    );
    expect([...bytes.slice(0, 3)]).to.deep.equal([0xef, 0xbb, 0xbf]);
    const lines = new TextDecoder().decode(bytes).trim().split('\n');
    expect(lines).to.have.length(4);
    expect(lines[0]).to.contain('bake,day,bread,made,judged');
  });

  it('an odd bake is set aside: an event like any other, which has the book learned again', async () => {
    const answer = await server.ask('POST', '/api/v1/bakes/b1/events', {
      events: [{ id: 'q', at: '2026-06-01T08:00:00Z', kind: 'counts', data: { counts: false } }],
    });
    expect(answer.status).to.equal(200);
    await server.learned();
    const { json } = await server.ask('GET', '/api/v1/bakes/b1');
    expect(json['lesson']['aside']).to.equal(true);
  });

  it('what was practised is kept once, and forgotten at a word', async () => {
    const round = { id: 'r1', lesson: 'knead', seed: 7, call: 'leave' };
    for (let i = 0; i < 2; i += 1)
      expect((await server.ask('POST', '/api/v1/practice', round)).status).to.equal(201);
    expect((await server.ask('GET', '/api/v1/practice')).json['called']).to.have.length(1);
    for (const bad of [
      { call: 'bake' },
      { lesson: 'oven' },
      { seed: -1 },
      { seed: 1.5 },
      { id: '../x' },
    ])
      expect(
        (await server.ask('POST', '/api/v1/practice', { ...round, ...bad })).status,
        JSON.stringify(bad),
      ).to.equal(400);
    await server.ask('DELETE', '/api/v1/practice');
    expect((await server.ask('GET', '/api/v1/practice')).json['called']).to.deep.equal([]);
  });

  it('bakes from before are kept as assumed, and once', async () => {
    const old = {
      id: 'old-x1',
      bread: 'Grandmother’s rye',
      day: '2019-03-02',
      events: [
        {
          id: 'a',
          at: '2019-03-02T12:00:00Z',
          kind: 'outcome',
          data: { stars: 3, words: [], note: 'heavy' },
        },
        { id: 'b', at: '2019-03-02T12:02:00Z', kind: 'finished', data: {} },
      ],
    };
    expect(
      (await server.ask('POST', '/api/v1/kitchen/old', { bakes: [old] })).json['came'],
    ).to.equal(1);
    expect(
      (await server.ask('POST', '/api/v1/kitchen/old', { bakes: [old] })).json['came'],
    ).to.equal(0);
    const { json } = await server.ask('GET', '/api/v1/bakes/old-x1');
    expect(json['circumstances']['assumed']).to.equal(true);
    expect(json['formulaName']).to.equal('Grandmother’s rye');
    for (const bad of [{ id: 'b1' }, { day: '2019-02-30' }, { events: [] }])
      expect(
        (await server.ask('POST', '/api/v1/kitchen/old', { bakes: [{ ...old, ...bad }] })).status,
      ).to.equal(400);
  });
});
