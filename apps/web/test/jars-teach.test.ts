import { expect } from 'chai';
import { TestServer } from './server.ts';

const stages = [
  {
    id: 's1',
    kind: 'starter',
    name: 'Starter',
    lines: [
      { ingredient: 'bread-flour', grams: 50 },
      { ingredient: 'water', grams: 50 },
    ],
  },
  {
    id: 's2',
    kind: 'dough',
    name: 'Dough',
    lines: [
      { ingredient: 'bread-flour', grams: 450 },
      { ingredient: 'water', grams: 300 },
      { ingredient: 'salt', grams: 10 },
    ],
  },
];
const at = (hour: number) => new Date(Date.UTC(2026, 10, 20, hour)).toISOString();

describe('what was seen of a jar', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());

  let formulaId = '';
  const belief = async () => (await server.ask('GET', '/api/v1/belief')).json;
  /** Minutes of the first rise that a plan has. */
  const rise = async (): Promise<number> => {
    const { json } = await server.ask('POST', '/api/v1/plan', {
      now: at(0),
      zone: 'UTC',
      bakes: [{ formulaId, ripe: true }],
    });
    return json['steps'].find((s: { kind: string }) => s.kind === 'first-rise').minutes;
  };
  const feed = (id: string, body: object) =>
    server.ask('PUT', `/api/v1/bags/jar/feedings/${id}`, body);

  before(async () => {
    formulaId = (await server.ask('POST', '/api/v1/formulas', { name: 'Sour', stages })).json['id'];
    const bag = { name: 'The jar', kind: 'starter', ingredient: 'bread-flour' };
    const made = await server.ask('PATCH', '/api/v1/bags/jar', { was: {}, now: bag });
    expect(made.status, JSON.stringify(made.json)).to.be.oneOf([200, 201]);
  });

  it('moves the plans of its breads at once, and not what the book has learned', async () => {
    const [before, book] = [await rise(), await belief()];
    const fed = { at: at(0), seed: 20, flour: 40, water: 40 };
    expect((await feed('warm', { ...fed, celsius: 28 })).status).to.equal(200);
    expect(await rise()).to.equal(before);
    // A fast one: at 28 °C it stood highest after three hours.
    await server.ask('PUT', '/api/v1/bags/jar/feedings/warm/peak', { at: at(3) });
    expect(await rise()).to.be.below(before * 0.95);
    expect(await belief()).to.deep.equal(book);
    await server.ask('DELETE', '/api/v1/bags/jar/feedings/warm');
    expect(await rise()).to.equal(before);
  });

  it('when it began to rise tells, too, and how warm it stood is kept', async () => {
    const before = await rise();
    const fed = { at: at(0), seed: 20, flour: 40, water: 40, celsius: 21, risingAt: at(7) };
    await feed('cool', fed);
    expect(await rise()).to.be.above(before);
    const { feedings } = (await server.ask('GET', '/api/v1/bags/jar/feedings')).json;
    expect(feedings[0]).to.include({ celsius: 21, risingAt: at(7) });
    await server.ask('DELETE', '/api/v1/bags/jar/feedings/cool');
  });

  it('a jar at 70 °C, or one that rose before it was fed, is refused or teaches nothing', async () => {
    const before = await rise();
    const fed = { at: at(5), seed: 20, flour: 40, water: 40 };
    expect((await feed('hot', { ...fed, celsius: 70 })).status).to.equal(400);
    await feed('odd', { ...fed, celsius: 22, peakAt: at(1) });
    expect(await rise()).to.equal(before);
  });
});
