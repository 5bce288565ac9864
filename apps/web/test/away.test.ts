import { expect } from 'chai';
import { insteadOf, isKept, keptKey } from '../src/lib/away/kept.ts';
import { TestServer } from './server.ts';

describe('what is kept for when the server is away', () => {
  const url = (path: string) => new URL(path, 'http://127.0.0.1:4310');

  it('the places, formulas and bakes; not what is another’s, nor what is large', () => {
    for (const path of [
      '/',
      '/bench',
      '/bench/a-1',
      '/bake',
      '/bake/b1',
      '/book',
      '/pantry',
      '/__data.json',
      '/bake/b1/__data.json',
    ])
      expect(isKept(url(path)), path).to.equal(true);
    for (const path of [
      '/pair',
      '/book/yours',
      '/api/v1/kitchen',
      '/book/compare',
      '/pantry/devices',
    ])
      expect(isKept(url(path)), path).to.equal(false);
  });

  it('is found by its address, without what the program says of itself in it', () => {
    expect(keptKey(url('/bake/__data.json?x-sveltekit-invalidated=01'))).to.equal(
      '/bake/__data.json',
    );
    expect(keptKey(url('/book?formula=a&x-sveltekit-invalidated=11'))).to.equal('/book?formula=a');
  });

  it('a bake or a bench that was never kept is made of what the browser keeps; any other page is not there', () => {
    expect(insteadOf('/bake/b1')).to.equal('/bake/kept');
    expect(insteadOf('/bench/f1')).to.equal('/bake/kept');
    expect(insteadOf('/bake/b1/__data.json')).to.equal('/bake/__data.json');
    for (const key of ['/bake', '/bake/b1/x', '/book/b1', '/bake/b1?x=1', '/api/v1/shown/bake/b1'])
      expect(insteadOf(key), key).to.equal(undefined);
  });

  it('the server says which pages those are, the bakes under way among them', async () => {
    const server = new TestServer();
    await server.start();
    try {
      const { json } = await server.ask('POST', '/api/v1/formulas', {
        name: 'Weir loaf',
        stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }],
      });
      await server.ask('POST', '/api/v1/bakes', {
        id: 'under-way',
        formulaId: json['id'],
        formulaVersion: 1,
      });
      expect((await server.ask('GET', '/api/v1/kept')).json['paths']).to.deep.equal([
        '/',
        '/bake',
        '/bake/under-way',
        '/book',
        '/pantry',
        `/bench/${json['id']}`,
      ]);
    } finally {
      await server.end();
    }
  });
});
