import { expect } from 'chai';
import { attempts } from '../src/lib/server/gate/code.ts';
import { houseAddresses } from '../src/lib/server/gate/names.ts';
import { TestServer } from './server.ts';
import { knockAt } from './knock.ts';

describe('a server with its gate', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());

  it('answers under its own names only, files too', async () => {
    const { port } = new URL(server.url);
    for (const path of ['/', '/icon.svg', '/api/v1/formulas', '/schemas/formula-1.json']) {
      const away = await knockAt(`${server.url}${path}`, { host: `rebound.example:${port}` });
      expect(away.status, path).to.equal(421);
      const home = await knockAt(`${server.url}${path}`, { host: `localhost:${port}` });
      expect(home.status, path).to.equal(200);
    }
  });

  it('a connection is kept as long as browsers keep it: no request meets one that closes', async () => {
    const { headers } = await knockAt(`${server.url}/api/v1/formulas`, {
      connection: 'keep-alive',
    });
    expect(headers['keep-alive']).to.equal('timeout=65');
  });

  it('every answer has the headers and says its letters; nothing personal is kept on the way', async () => {
    const script = /\/_app\/immutable\/[\w./-]+\.js/.exec(
      await (await fetch(server.url)).text(),
    )![0];
    const answers = [
      '/',
      '/icon.svg',
      script,
      '/api/v1/formulas',
      '/api/v1/formulas/none',
      '/nowhere',
      '/schemas/formula-1.json',
    ];
    for (const path of answers) {
      const { headers } = await fetch(`${server.url}${path}`);
      expect(headers.get('x-content-type-options'), path).to.equal('nosniff');
      expect(headers.get('referrer-policy'), path).to.equal('same-origin');
      expect(headers.get('x-frame-options'), path).to.equal('DENY');
      expect(headers.get('content-type'), path).to.match(/charset=utf-8/i);
      const personal = !/icon|immutable|schemas/.test(path);
      expect(headers.get('cache-control') === 'no-store', path).to.equal(personal);
    }
  });

  it('a write from somebody else’s page is refused, whatever it sends', async () => {
    const { host } = new URL(server.url);
    const foreign: ReadonlyArray<Record<string, string>> = [
      { origin: 'https://elsewhere.example' },
      { origin: `http://localhost:1` },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
    ];
    for (const headers of foreign) {
      for (const type of ['application/json', 'text/plain']) {
        const sent = { host, 'content-type': type, ...headers };
        const { status } = await knockAt(`${server.url}/api/v1/evaluate`, sent, 'POST', '{}');
        expect(status, JSON.stringify(sent)).to.equal(403);
      }
    }
  });

  it('413 for what is too large, in one piece or in many', async () => {
    const chunked = await fetch(`${server.url}/api/v1/evaluate`, {
      method: 'POST',
      headers: { 'content-type': 'text/plain' },
      duplex: 'half',
      body: new ReadableStream({
        start(controller) {
          for (let i = 0; i < 12; i += 1) controller.enqueue(new Uint8Array(64 * 1024).fill(97));
          controller.close();
        },
      }),
    } as RequestInit);
    expect(chunked.status).to.equal(413);
    expect((await server.ask('POST', '/api/v1/evaluate', 'a'.repeat(600_000))).status).to.equal(
      413,
    );
  });
});

describe('a server behind a proxy of one’s own', () => {
  const server = new TestServer();
  const settings = { TENDER_CRUMB_PROXY: '1', TENDER_CRUMB_NAMES: 'bread.example' };
  before(() => server.start(settings));
  after(() => server.end());

  const code = () => /[A-Z0-9]{4}-[A-Z0-9]{4}/.exec(server.said)![0];
  const pair = async (typed: string, name = 'Tablet', to = '/pantry') => {
    const response = await fetch(`${server.url}/pair`, {
      method: 'POST',
      redirect: 'manual',
      headers: { origin: server.url, accept: 'text/html' },
      body: new URLSearchParams({ code: typed, name, to }),
    });
    const cookie = response.headers.get('set-cookie') ?? '';
    return { response, cookie: cookie.split(';')[0]!, attributes: cookie };
  };

  it('nobody is at home by address: pages lead to the door, the API says 401', async () => {
    const page = await fetch(`${server.url}/bench?x=1`, { redirect: 'manual' });
    expect([page.status, page.headers.get('location')]).to.deep.equal([
      303,
      '/pair?to=%2Fbench%3Fx%3D1',
    ]);
    for (const path of ['/api/v1/formulas', '/api/v1/devices', '/schemas/formula-1.json']) {
      expect((await server.ask('GET', path)).status, path).to.equal(401);
    }
    const written = await server.ask('POST', '/api/v1/formulas', { stages: [] });
    expect([written.status, written.json['errors'][0].where]).to.deep.equal([401, 'cookie']);
    expect((await fetch(`${server.url}/pair`)).status).to.equal(200);
  });

  it('the code lets in, by a cookie that scripts cannot read; its device is listed, renamed and forgotten', async () => {
    const { response, cookie, attributes } = await pair(code().toLowerCase());
    expect([response.status, response.headers.get('location')]).to.deep.equal([303, '/pantry']);
    expect(attributes)
      .to.match(/HttpOnly/i)
      .and.match(/SameSite=Lax/i);
    expect(attributes).not.to.match(/Secure/i);
    const ask = (method: string, path: string, body?: unknown) =>
      server.ask(method, path, body, { cookie });
    const [device] = (await ask('GET', '/api/v1/devices')).json['devices'];
    expect(device).to.include({ name: 'Tablet' });
    await ask('PUT', `/api/v1/devices/${device.id}`, { name: 'Counter' });
    const made = await ask('POST', '/api/v1/formulas', {
      stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }],
    });
    const stored = await ask('GET', `/api/v1/formulas/${made.json['id']}`);
    expect(stored.json['device']).to.equal('Counter');
    const shown = await (
      await fetch(`${server.url}/pantry/devices`, { headers: { cookie } })
    ).text();
    expect(shown).to.contain(code());

    const old = code();
    expect((await ask('DELETE', `/api/v1/devices/${device.id}`)).status).to.equal(200);
    expect((await ask('GET', '/api/v1/formulas')).status).to.equal(401);
    expect((await pair(old)).response.status).to.equal(400);
  });

  it('a cookie of another kitchen opens nothing', async () => {
    const other = await new TestServer().start(settings);
    try {
      const theirs = /[A-Z0-9]{4}-[A-Z0-9]{4}/.exec(other.said)![0];
      const response = await fetch(`${other.url}/pair`, {
        method: 'POST',
        redirect: 'manual',
        headers: { origin: other.url },
        body: new URLSearchParams({ code: theirs, name: 'Tablet', to: '/' }),
      });
      const cookie = response.headers.get('set-cookie')!.split(';')[0]!;
      expect((await other.ask('GET', '/api/v1/formulas', undefined, { cookie })).status).to.equal(
        200,
      );
      expect((await server.ask('GET', '/api/v1/formulas', undefined, { cookie })).status).to.equal(
        401,
      );
    } finally {
      await other.end();
    }
  });

  it('leads to no place but its own, and names a fault at its field', async () => {
    await server.kill('SIGTERM');
    await server.start(settings);
    for (const to of ['https://elsewhere.example', '//elsewhere.example', '/\\elsewhere.example']) {
      const { response } = await pair(code(), 'Tablet', to);
      expect(response.headers.get('location'), to).to.equal('/');
    }
    expect(await (await pair(code(), '  ')).response.text()).to.contain('one to forty letters');
    expect(await (await pair('AAAA-AAAA')).response.text()).to.contain('Wrong code');
    for (let i = 0; i < attempts.each; i += 1) await pair('AAAA-AAAA');
    expect((await pair(code())).response.status).to.equal(429);
  });

  it('answers under the name that was given, on https too', async () => {
    const { status } = await knockAt(`${server.url}/pair`, {
      host: '127.0.0.1',
      'x-forwarded-host': 'bread.example',
      'x-forwarded-proto': 'https',
    });
    expect(status).to.equal(200);
    expect((await knockAt(`${server.url}/pair`, { host: 'elsewhere.example' })).status).to.equal(
      421,
    );
  });
});

/** An address of this machine that is not its loopback. */
const house = houseAddresses()[0];

(house ? describe : describe.skip)('a server that listens to the house', () => {
  const server = new TestServer();
  before(() => server.start({ HOST: '0.0.0.0' }));
  after(() => server.end());

  it('this machine is at home by its socket, whatever Host it names; others are not', async () => {
    const { port } = new URL(server.url);
    expect(server.said).to.contain(`http://${house}:${port}/`);
    const ask = async (to: string, host: string) =>
      (await knockAt(`http://${to}:${port}/api/v1/formulas`, { host: `${host}:${port}` })).status;
    expect(await ask('127.0.0.1', 'localhost')).to.equal(200);
    expect(await ask('127.0.0.1', house!)).to.equal(200);
    expect(await ask(house!, house!)).to.equal(401);
    expect(await ask(house!, 'localhost')).to.equal(401);
    expect(await ask(house!, '127.0.0.1')).to.equal(401);
    const forged = await knockAt(`http://${house}:${port}/api/v1/formulas`, {
      host: `localhost:${port}`,
      'x-forwarded-for': '127.0.0.1',
      'x-forwarded-host': 'localhost',
      forwarded: 'for=127.0.0.1',
    });
    expect(forged.status).to.equal(401);
  });
});
