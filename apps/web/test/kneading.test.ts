import { expect } from 'chai';
import { TestServer } from './server.ts';

const at = (minute: number) => `2026-05-01T08:${String(minute).padStart(2, '0')}:00.000Z`;

describe('the warmth of kneading in the book', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());

  it('is of the way in which the bake was made, at once and when the whole book is learned again', async () => {
    const { json: made } = await server.ask('POST', '/api/v1/formulas', {
      name: 'Mixed loaf',
      stages: [
        {
          lines: [
            { id: 'a', ingredient: 'bread-flour', grams: 500 },
            { id: 'b', ingredient: 'water', grams: 320 },
          ],
        },
      ],
    });
    const begun = await server.ask('POST', '/api/v1/bakes', {
      formulaId: made['id'],
      formulaVersion: 1,
      method: 'mixer',
      startedAt: at(0),
    });
    const id = begun.json['id'] as string;
    const measured = async () =>
      (
        (await server.ask('GET', `/api/v1/bakes/${id}`)).json['lesson'].measured as ReadonlyArray<{
          key: string;
          after: { mean: number };
        }>
      ).map((m) => [m.key, Math.round(10 * m.after.mean)]);
    await server.ask('POST', `/api/v1/bakes/${id}/events`, {
      events: [
        { id: 'w', at: at(1), kind: 'warmth', data: { of: 'water', celsius: 25 } },
        { id: 'd', at: at(30), kind: 'warmth', data: { of: 'dough', celsius: 30 } },
        { id: 'e', at: at(59), kind: 'finished', data: {} },
      ],
    });
    const once = await measured();
    expect(once.map(([key]) => key)).to.deep.equal(['friction:mixer']);
    // Warmer than the customary 4 °C.
    expect(once[0]![1]).to.be.above(45);
    const figures = { 'thirst:bread-flour': 0.66 };
    expect((await server.ask('PATCH', '/api/v1/household', { figures })).status).to.equal(200);
    await server.learned();
    expect(await measured()).to.deep.equal(once);
    const misread = await server.ask('POST', `/api/v1/bakes/${id}/events`, {
      events: [{ id: 'x', at: at(2), kind: 'warmth', data: { of: 'kettle', celsius: 25 } }],
    });
    expect(misread.status).to.equal(400);
  });
});
