import { expect } from 'chai';
import { TestServer } from './server.ts';

const stages = [
  {
    id: 's1',
    kind: 'dough',
    name: 'Dough',
    lines: [
      { ingredient: 'bread-flour', grams: 500 },
      { ingredient: 'water', grams: 320 },
      { ingredient: 'salt', grams: 10 },
      { ingredient: 'instant-yeast', grams: 5 },
    ],
  },
];
const asked = {
  key: 'water',
  says: 'water',
  from: '64 %',
  to: '68 %',
  by: 'stars',
  askedOn: '2026-01-01',
};

describe('what is tried, and what a hand was tried on', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());

  const page = async (path: string): Promise<string> =>
    (await fetch(`${server.url}${path}`)).text();
  let formulaId = '';

  it('a trial is kept with its formula, and told on the shelf, in the plan and in the bake', async () => {
    const made = await server.ask('POST', '/api/v1/formulas', {
      name: 'Tried loaf',
      style: 'pan',
      styleGuessed: true,
      asked,
      stages,
    });
    expect(made.status, JSON.stringify(made.json)).to.be.oneOf([200, 201]);
    formulaId = made.json['id'];
    const { formula } = (await server.ask('GET', `/api/v1/formulas/${formulaId}`)).json;
    expect(formula.asked).to.deep.equal(asked);
    expect(formula.styleGuessed).to.equal(true);
    const says = 'Trial, this time with it: water 68';
    expect(await page('/__data.json')).to.contain(says);
    await server.ask('PUT', '/api/v1/plans/tried', { version: 0, formulaId });
    const day = (await server.ask('GET', '/api/v1/shown/day')).json;
    expect(JSON.stringify(day)).to.contain(says);
    const { json, status } = await server.ask('POST', '/api/v1/bakes', {
      formulaId,
      formulaVersion: 1,
    });
    expect(status, JSON.stringify(json)).to.be.oneOf([200, 201]);
    const shown = (await server.ask('GET', `/api/v1/shown/bake/${json['id']}`)).json;
    expect(JSON.stringify(shown)).to.contain(says);
  });

  it('a question that is none is refused where it was given', async () => {
    const { status, json } = await server.ask('POST', '/api/v1/formulas', {
      name: 'Loaf',
      asked: { key: 'water' },
      stages,
    });
    expect(status).to.be.oneOf([400, 422]);
    expect(JSON.stringify(json)).to.contain('asked');
  });

  it('a hand that was tried has the book learned again, and one that is forgotten as well', async () => {
    const settled = async () => {
      for (;;) {
        const { json } = await server.ask('GET', '/api/v1/learning');
        if (json['learned']) return (await server.ask('GET', '/api/v1/belief')).json;
        await new Promise((r) => setTimeout(r, 50));
      }
    };
    const before = JSON.stringify(await settled());
    const bakers = [{ id: 'usual', name: 'Ilse' }];
    const felt = { flour: 'bread-flour', on: '2026-05-01', points: [3, 7, 11] };
    const patch = (of: object) => server.ask('PATCH', '/api/v1/household', { bakers: of });
    expect((await patch([{ ...bakers[0], felt }])).status).to.equal(200);
    const tried = JSON.stringify(await settled());
    expect(tried).to.not.equal(before);
    expect(tried).to.contain('touch');
    expect((await patch(bakers)).status).to.equal(200);
    expect(JSON.stringify(await settled())).to.not.contain('"touch"');
    for (const points of [
      [1, 2],
      [1, 2, 99],
      ['a', 2, 3],
    ])
      expect((await patch([{ ...bakers[0], felt: { ...felt, points } }])).status).to.equal(400);
  });
});
