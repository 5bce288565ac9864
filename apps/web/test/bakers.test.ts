import { expect } from 'chai';
import { bakerHere } from '../src/lib/wire/baker-here.ts';
import { TestServer } from './server.ts';

const line = (id: string, ingredient: string, grams: number) => ({
  id,
  ingredient,
  grams,
  measured: 'volume',
});
const cups = {
  name: 'Cup loaf',
  stages: [{ lines: [line('a', 'bread-flour', 500), line('b', 'water', 320)] }],
};
const bakers = [
  { id: 'usual', name: 'Maud' },
  { id: 'joris', name: 'Joris' },
];
const at = (minute: number) => `2026-05-01T08:${String(minute).padStart(2, '0')}:00.000Z`;

describe('who bakes', () => {
  const server = new TestServer();
  let formulaId = '';
  before(async () => {
    await server.start();
    formulaId = (await server.ask('POST', '/api/v1/formulas', cups)).json['id'];
  });
  after(() => server.end());

  const begin = async (baker?: string) =>
    (
      await server.ask('POST', '/api/v1/bakes', {
        formulaId,
        formulaVersion: 1,
        startedAt: at(0),
        ...(baker === undefined ? {} : { baker }),
      })
    ).json;
  const forecast = async (baker?: string): Promise<number> =>
    (await begin(baker))['forecast'].points;

  it('names are settled, each once; a household of old has none', async () => {
    const settled = (patch: object) => server.ask('PATCH', '/api/v1/household', patch);
    expect((await server.ask('GET', '/api/v1/household')).json['bakers']).to.deep.equal([]);
    expect((await settled({ bakers: [bakers[0], bakers[0]] })).status).to.equal(400);
    expect((await settled({ bakers: [{ id: 'x', name: '  ' }] })).status).to.equal(400);
    // The first is who bakes where nobody is named.
    expect((await settled({ bakers: [bakers[1], bakers[0]] })).status).to.equal(400);
    expect((await settled({ bakers })).status).to.equal(200);
    expect((await server.ask('GET', '/api/v1/household')).json['bakers']).to.deep.equal(bakers);
  });

  it('a bake is begun by one of them; who is not of the house is nobody', async () => {
    const { events } = (await begin('joris')) as unknown as { events: object[] };
    expect(events).to.deep.equal([
      { id: 'baker', at: at(0), kind: 'baker', data: { baker: 'joris' } },
    ]);
    expect((await begin('gone'))['events']).to.deep.equal([]);
    expect((await begin())['events']).to.deep.equal([]);
  });

  it('what a hand taught is in the forecast of its next bake, and not in another’s', async () => {
    const before = await forecast('joris');
    expect(await forecast()).to.equal(before);
    const { id } = await begin('joris');
    await server.ask('POST', `/api/v1/bakes/${id}/events`, {
      events: [
        { id: 'f', at: at(9), kind: 'felt', data: { points: before - 10 } },
        { id: 'e', at: at(59), kind: 'finished', data: {} },
      ],
    });
    const [his, hers] = [await forecast('joris'), await forecast('usual')];
    expect(his).to.be.below(hers - 1);
    expect(await forecast()).to.equal(hers);
    // Said later that it was hers after all, it is learned again.
    await server.ask('POST', `/api/v1/bakes/${id}/events`, {
      events: [{ id: 'b', at: at(10), kind: 'baker', data: { baker: 'usual' } }],
    });
    await server.learned();
    expect(await forecast('usual')).to.be.closeTo(his, 1e-9);
    expect(await forecast('joris')).to.be.closeTo(hers, 1e-9);
  });

  it('a device remembers who stood at it last, among all else that it remembers', () => {
    expect(bakerHere('bench=whole; baker=joris; theme=dark')).to.equal('joris');
    expect(bakerHere('rebaker=x; baker=')).to.equal(undefined);
    expect(bakerHere('')).to.equal(undefined);
  });
});
