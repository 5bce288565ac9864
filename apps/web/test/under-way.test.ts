import { testTime } from '../../../scripts/test-clock.mjs';
import { mostBreads } from '@tender-crumb/core/schedule';
import { expect } from 'chai';
import { TestServer } from './server.ts';

/** A plan holds so many breads. What is begun and left pushes nothing out of it that is being made. */
describe('bakes under way, and others that were left', () => {
  const server = new TestServer();
  const begin = async (id: string) => {
    const asked = { id, formulaId: 'tin', formulaVersion: 1, method: 'hand' };
    expect((await server.ask('POST', '/api/v1/bakes', asked)).status).to.equal(201);
  };
  const planned = async (path: string) =>
    ((await server.ask('GET', path)).json as { plans: Array<{ id: string; bakeId?: string }> })
      .plans;
  const onPage = async (id: string) => {
    const { plan } = (await server.ask('GET', `/api/v1/shown/bake/${id}`)).json as {
      plan: { plans: Array<{ id: string; bakeId?: string }> };
    };
    return plan.plans;
  };
  const has = (plans: Array<{ bakeId?: string }>, id: string) => plans.some((p) => p.bakeId === id);

  before(async () => {
    await server.start();
    await server.ask('PUT', '/api/v1/formulas/tin', {
      version: 0,
      formula: {
        format: 'tender-crumb/formula-2',
        name: 'Lockside tin loaf',
        style: 'pan',
        stages: [
          {
            id: 's1',
            kind: 'dough',
            name: 'Dough',
            lines: [
              { id: 'a', ingredient: 'bread-flour', grams: 500, measured: 'scale' },
              { id: 'b', ingredient: 'water', grams: 320, measured: 'scale' },
              { id: 'd', ingredient: 'instant-yeast', grams: 5, measured: 'scale' },
            ],
          },
        ],
        taken: [],
        left: [],
      },
    });
    await begin('rising');
    const at = testTime().toISOString();
    await server.ask('POST', '/api/v1/bakes/rising/events', {
      events: [{ id: 'e1', at, kind: 'step', data: { step: 'weigh', sense: 'done' } }],
    });
    for (let i = 0; i < mostBreads + 2; i += 1) await begin(`left-${i}`);
  });
  after(() => server.end());

  it('the dough that is being made is planned, and what was begun and left only where there is room', async () => {
    const plans = await planned('/api/v1/plans');
    expect(plans).to.have.length(mostBreads);
    expect(plans[0]!.bakeId).to.equal('rising');
    expect(has(plans, 'left-9')).to.equal(true);
    expect(has(plans, 'left-0')).to.equal(false);
  });

  it('on a bake’s own page its times are always there', async () => {
    const plans = await onPage('left-0');
    expect(plans).to.have.length(mostBreads);
    expect(plans.slice(0, 2).map((p) => p.bakeId)).to.deep.equal(['left-0', 'rising']);
  });

  it('also where as many are planned as a plan holds; what was planned last makes room', async () => {
    for (let i = 0; i < mostBreads; i += 1)
      await server.ask('PUT', `/api/v1/plans/p${i}`, { version: 0, formulaId: 'tin' });
    expect((await planned('/api/v1/plans')).map((p) => p.id)).to.deep.equal(
      Array.from({ length: mostBreads }, (_, i) => `p${i}`),
    );
    const plans = await onPage('left-0');
    expect(plans.map((p) => p.id)).to.deep.equal([
      'left-0',
      ...Array.from({ length: mostBreads - 1 }, (_, i) => `p${i}`),
    ]);
  });
});
