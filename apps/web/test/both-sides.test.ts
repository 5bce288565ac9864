import { expect } from 'chai';
import sharp from 'sharp';
import { Problem, problemResponse } from '../src/lib/server/problem.ts';
import { mostPhotos } from '../src/lib/server/store/photos.ts';
import { TestServer } from './server.ts';

/** Limits of the server, each from both of its sides. */
describe('both sides of a limit', () => {
  const server = new TestServer();
  let n = 0;
  const begun = async (): Promise<string> => {
    const made = await server.ask('POST', '/api/v1/formulas', {
      name: `Loaf ${(n += 1)}`,
      stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }],
    });
    const { json } = await server.ask('POST', '/api/v1/bakes', {
      formulaId: made.json['id'],
      formulaVersion: 1,
    });
    return json['id'] as string;
  };
  before(() => server.start());
  after(() => server.end());

  it('who may come again is told when, and nobody else', () => {
    const after = (status: number) =>
      problemResponse(new Problem(status, 'Not now')).headers.get('retry-after');
    expect([503, 429].map(after)).to.deep.equal(['2', '2']);
    expect([400, 409, 422, 500, 507].map(after)).to.deep.equal([null, null, null, null, null]);
  });

  it('a bake that was finished is not given up by who says so later', async () => {
    const say = async (id: string, ...kinds: string[]) => {
      const events = kinds.map((kind, i) => ({
        id: `${kind}-${i}`,
        at: `2026-11-26T09:0${i}:00.000Z`,
        kind,
        data: {},
      }));
      return (await server.ask('POST', `/api/v1/bakes/${id}/events`, { events })).json;
    };
    const finished = await say(await begun(), 'finished', 'abandoned');
    expect(finished['finishedAt']).to.equal('2026-11-26T09:00:00.000Z');
    expect(finished['givenUpAt']).to.equal(undefined);
    const left = await say(await begun(), 'abandoned');
    expect(left['givenUpAt']).to.equal('2026-11-26T09:00:00.000Z');
  });

  it(`a bake has ${mostPhotos} photos, and no more`, async function () {
    this.timeout(60_000);
    const bake = await begun();
    const jpeg = await sharp({
      create: { width: 40, height: 30, channels: 3, background: '#b58a3a' },
    })
      .jpeg()
      .toBuffer();
    const send = async (i: number) =>
      (
        await fetch(`${server.url}/api/v1/bakes/${bake}/photos/p${i}?step=bake`, {
          method: 'PUT',
          headers: { 'content-type': 'image/jpeg' },
          body: new Uint8Array(jpeg),
        })
      ).status;
    for (let i = 1; i <= mostPhotos; i += 1) expect(await send(i), String(i)).to.be.below(300);
    expect(await send(mostPhotos + 1)).to.equal(422);
    // The same once more is none more.
    expect(await send(1)).to.be.below(300);
  });
});
