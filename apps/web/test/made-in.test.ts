import { machines } from '@tender-crumb/core/machine';
import { expect } from 'chai';
import { TestServer } from './server.ts';

const lines = [
  { ingredient: 'bread-flour', grams: 500 },
  { ingredient: 'water', grams: 320 },
  { ingredient: 'salt', grams: 10 },
  { ingredient: 'instant-yeast', grams: 5 },
];

describe('in what a bake is made, where the request does not say', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());

  let count = 0;
  const formula = async (more: object = {}): Promise<string> => {
    const body = { name: `Loaf ${(count += 1)}`, stages: [{ lines }], ...more };
    return (await server.ask('POST', '/api/v1/formulas', body)).json['id'];
  };
  const begun = async (formulaId: string, more: object = {}): Promise<string> =>
    (await server.ask('POST', '/api/v1/bakes', { formulaId, formulaVersion: 1, ...more })).json[
      'method'
    ];

  it('an empty kitchen without a machine bakes by hand', async () => {
    expect(await begun(await formula())).to.equal('hand');
  });

  it('what the formula or its recipe says goes before what was done last', async () => {
    const id = await formula({ steps: [{ says: 'Knead by hand for 10 minutes.' }] });
    expect(await begun(id, { method: 'mixer' })).to.equal('mixer');
    expect(await begun(id)).to.equal('hand');
    expect(await begun(await formula({ device: 'mixer' }))).to.equal('mixer');
  });

  it('else as this bread was made the last time; a machine only where there is one', async () => {
    const id = await formula();
    expect(await begun(id, { method: 'mixer' })).to.equal('mixer');
    expect(await begun(id)).to.equal('mixer');
    expect(await begun(id, { method: 'dry-first' })).to.equal('dry-first');
    expect(await begun(id)).not.to.equal('dry-first');
    const [, machine] = Object.entries(machines)[0]!;
    const appliances = [{ id: 'm', kind: 'machine', name: 'Ours', holds: 1, machine }];
    const told = await server.ask('PATCH', '/api/v1/household', { appliances });
    expect(told.status, JSON.stringify(told.json)).to.equal(200);
    const other = await formula();
    expect(await begun(other, { method: 'dry-first' })).to.equal('dry-first');
    expect(await begun(other)).to.equal('dry-first');
  });

  it('a plan and the bake that comes of it are of one mind', async () => {
    const id = await formula();
    await begun(id, { method: 'mixer' });
    await server.ask('PUT', '/api/v1/plans/p', { version: 0, formulaId: id });
    const { devices } = (await server.ask('GET', '/api/v1/plans')).json;
    expect(devices['p']).to.equal('mixer');
    expect(await begun(id)).to.equal('mixer');
  });

  it('chosen anew as it begins, the bake is made in that, for the book too; taken back it is as it was', async () => {
    const id = await formula();
    const bake = (
      await server.ask('POST', '/api/v1/bakes', {
        formulaId: id,
        formulaVersion: 1,
        method: 'hand',
      })
    ).json['id'] as string;
    const at = '2026-11-30T08:00:00Z';
    const say = async (...events: object[]) => {
      const said = await server.ask('POST', `/api/v1/bakes/${bake}/events`, { events });
      expect(said.status, JSON.stringify(said.json)).to.equal(200);
      return (await server.ask('GET', `/api/v1/bakes/${bake}`)).json['method'];
    };
    const made = (name: string, device: string, was: string) => ({
      id: name,
      at,
      kind: 'made',
      data: { device, was },
    });
    const back = (name: string, event: string) => ({
      id: name,
      at,
      kind: 'retracted',
      data: { event },
    });
    expect(await say(made('m1', 'mixer', 'hand'))).to.equal('mixer');
    expect(await begun(id)).to.equal('mixer');
    expect(await say(made('m2', 'dry-first', 'mixer'))).to.equal('dry-first');
    expect(await say(back('b2', 'm2'))).to.equal('mixer');
    expect(await say(back('b1', 'm1'))).to.equal('hand');
    const wrong = await server.ask('POST', `/api/v1/bakes/${bake}/events`, {
      events: [made('m3', 'bucket', 'hand')],
    });
    expect(wrong.status).to.equal(400);
  });

  it('a mixer kneads 100 to 10,000 g of flour at once', async () => {
    const told = async (takes: number) =>
      (
        await server.ask('PATCH', '/api/v1/household', {
          appliances: [{ id: 'x', kind: 'mixer', name: 'Ours', holds: 1, takes }],
        })
      ).status;
    expect([await told(100), await told(10_000)]).to.deep.equal([200, 200]);
    expect([await told(99), await told(10_001)]).to.deep.equal([400, 400]);
  });
});
