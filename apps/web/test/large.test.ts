import { completeFormula } from '@tender-crumb/core/exchange';
import { nothingLearned } from '@tender-crumb/core/belief';
import { expect } from 'chai';
import { drawnAsked } from '../src/lib/server/boundary/drawn-query.ts';
import { breadsAtOnce } from '../src/lib/server/store/book-list.ts';
import { TestServer } from './server.ts';

/** What a kitchen with many breads asks for: some of them, and what is known of those. */
describe('a kitchen of many breads', () => {
  const server = new TestServer();
  const breads = breadsAtOnce + 3;
  const ids: string[] = [];
  const page = async (path: string) => (await fetch(`${server.url}${path}`)).text();
  const options = (text: string) => text.match(/<option [^>]*>Weir /g)?.length ?? 0;

  before(async () => {
    await server.start();
    for (let n = 0; n < breads; n += 1) {
      const formula = completeFormula({
        name: `Weir ${n === 7 ? 'Ölbrot' : `loaf ${n}`}`,
        stages: [
          {
            lines: [
              { ingredient: 'bread-flour', grams: 500 },
              { ingredient: 'water', grams: 320 },
              { ingredient: 'salt', grams: 9 },
              { ingredient: 'instant-yeast', grams: 5 },
            ],
          },
        ],
      });
      const made = await server.ask('POST', '/api/v1/formulas', formula);
      const formulaId = made.json['id'] as string;
      ids.push(formulaId);
      // One is baked twice: it stands first.
      for (let k = 0; k < (n === 5 ? 2 : 1); k += 1) {
        const id = `b${n}-${k}`;
        await server.ask('POST', '/api/v1/bakes', { id, formulaId, formulaVersion: 1 });
        const at = `2026-0${1 + k}-10T08:00:00Z`;
        await server.ask('POST', `/api/v1/bakes/${id}/events`, {
          events: [
            { id: 'b', at, kind: 'rise', data: { rise: 'first', sense: 'begun' } },
            {
              id: 't',
              at: at.replace('08', '10'),
              kind: 'rise',
              data: { rise: 'first', sense: 'there' },
            },
            { id: 'f', at, kind: 'felt', data: { points: n % 3, rested: true } },
            { id: 'o', at, kind: 'outcome', data: { stars: 3 + k, words: [], note: '' } },
            { id: 'e', at, kind: 'finished', data: {} },
          ],
        });
      }
    }
    await server.learned();
  });
  after(() => server.end());

  it('shows the most often baked first, as many as are picked from, and finds the rest', async () => {
    const text = await page('/book/helped');
    expect(options(text)).to.equal(breadsAtOnce);
    expect(/<option [^>]*>(Weir [^<]*)</.exec(text)![1]).to.equal('Weir loaf 5 (2)');
    expect(text).to.contain('Find a bread');
    const found = await page(`/book/helped?find=${encodeURIComponent('Ölbrot')}`);
    expect(options(found)).to.equal(1);
    expect(await page('/book/helped?find=nothing-of-it')).to.contain(
      'No bread of that name was baked here.',
    );
    // The one that is looked at stands among them wherever it is.
    const last = ids.at(-1)!;
    expect(options(await page(`/book/drawn?formula=${last}`))).to.be.within(
      breadsAtOnce,
      breadsAtOnce + 1,
    );
    expect(await page('/book/learned')).to.contain(
      `${breads} breads, the most often baked first: 1 of 2`,
    );
    expect(await page('/book/learned?page=2')).to.contain(': 2 of 2');
  });

  it('sends the belief of the breads that are asked for, and of no other', async () => {
    const none = (await server.ask('GET', '/api/v1/belief')).json['belief'];
    expect(none.keys).to.include.members([...nothingLearned.keys]);
    expect(JSON.stringify(none)).to.not.contain('departure:');
    const [first, second] = ids;
    const two = (await server.ask('GET', `/api/v1/belief?breads=${first},${second}`)).json[
      'belief'
    ];
    expect(two.keys.filter((k: string) => k.startsWith('departure:'))).to.have.members([
      `departure:${first}`,
      `departure:${second}`,
    ]);
    expect((await server.ask('GET', '/api/v1/belief?breads=a%20b')).status).to.equal(400);
  });

  it('lists no more at once than goes into an answer', async () => {
    for (const [path, status] of [
      ['/api/v1/bakes?limit=30', 200],
      ['/api/v1/bakes?limit=31', 400],
      ['/api/v1/formulas?limit=100', 200],
      ['/api/v1/formulas?limit=101', 400],
    ] as const)
      expect((await server.ask('GET', path)).status, path).to.equal(status);
    const { bakes, total } = (await server.ask('GET', '/api/v1/bakes?limit=30&offset=30')).json;
    expect(total).to.equal(breads + 1);
    expect(bakes).to.have.length(breads + 1 - 30);
    expect(bakes[0].events).to.have.length(5);
  });

  it('says where a measure was to be expected, bake by bake', async () => {
    const { by } = (await server.ask('GET', `/api/v1/shown/expected/${ids[5]}?of=firstRise`)).json;
    expect(Object.keys(by)).to.have.members(['b5-0', 'b5-1']);
    const { low, middle, high } = by['b5-0'];
    expect(low).to.be.below(middle).and.above(0);
    expect(high).to.be.above(middle);
    expect((await server.ask('GET', '/api/v1/shown/expected/a%20b')).status).to.equal(400);
    expect((await server.ask('GET', '/api/v1/shown/expected/none')).json['by']).to.deep.equal({});
  });

  it('sends text smaller where that can be read, and photos and files as they are', async () => {
    const asked = async (path: string, encoding: string) =>
      (await fetch(`${server.url}${path}`, { headers: { 'accept-encoding': encoding } })).headers;
    expect((await asked('/', 'gzip')).get('content-encoding')).to.equal('gzip');
    expect((await asked('/', 'identity')).get('content-encoding')).to.equal(null);
    expect((await asked('/api/v1/formulas', 'gzip')).get('content-encoding')).to.equal('gzip');
    expect((await asked('/api/v1/kitchen', 'gzip')).get('content-encoding')).to.equal(null);
  });

  it('a piece of a file that does not say what it is, is refused and not passed over', async () => {
    const piece = (headers: Record<string, string>, body: Uint8Array) =>
      fetch(`${server.url}/api/v1/kitchen/incoming/p?at=0`, {
        method: 'PUT',
        body: body as BodyInit,
        headers,
      });
    expect((await piece({}, new Uint8Array(5))).status).to.equal(415);
    const typed = await piece({ 'content-type': 'application/octet-stream' }, new Uint8Array(5));
    expect(await typed.json()).to.deep.equal({ here: 5 });
  });
});

describe('what a drawing is asked for', () => {
  it('is read where it can be, and passed over where not', () => {
    const of = (text: string) => drawnAsked(new URLSearchParams(text));
    expect(of('of=loss&along=felt')).to.include({ of: 'loss', along: 'felt' });
    expect(of('of=magic&along=')).to.deep.equal(of(''));
    expect(of('all').newest).to.be.above(of('').newest);
  });
});
