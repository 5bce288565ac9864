import { expect } from 'chai';
import { request } from 'node:http';
import { networkInterfaces } from 'node:os';
import { attempts, PairingCode } from '../src/lib/server/gate/code.ts';
import { cookieName, deviceIn, sign } from '../src/lib/server/gate/cookie.ts';
import { turnAway } from '../src/lib/server/gate/doors.ts';
import { withCharset } from '../src/lib/server/gate/headers.ts';
import { houseAddresses, isLoopback, nameIn, ownNames } from '../src/lib/server/gate/names.ts';
import { pageIn } from '../src/lib/server/paging.ts';
import { TestServer } from './server.ts';

describe('names of the kitchen', () => {
  const machine = { hostname: 'Larder.local', addresses: ['192.168.7.4', '[fd00::4]'] };

  it('are those of loopback alone, unless it listens to the house', () => {
    const own = [...ownNames({ host: '127.0.0.1', names: '' }, machine)];
    expect(own).to.deep.equal(['127.0.0.1', 'localhost', '[::1]']);
    const open = ownNames({ host: '0.0.0.0', names: ' Bread.example , ' }, machine);
    for (const name of ['localhost', '192.168.7.4', '[fd00::4]', 'larder', 'larder.local']) {
      expect(open.has(name), name).to.equal(true);
    }
    expect(open.has('bread.example')).to.equal(true);
    expect(open.has('0.0.0.0')).to.equal(false);
    expect(open.has('')).to.equal(false);
    expect(ownNames({ host: 'fd00::4', names: '' }, machine).has('[fd00::4]')).to.equal(true);
  });

  const hosts: ReadonlyArray<readonly [string | undefined, string | undefined]> = [
    ['localhost:4310', 'localhost'],
    ['LOCALHOST.', 'localhost'],
    ['[::1]:4310', '[::1]'],
    ['127.0.0.1', '127.0.0.1'],
    ['evil.example:80', 'evil.example'],
    ['localhost:4310@evil.example', undefined],
    ['localhost/evil', undefined],
    ['a b', undefined],
    ['', undefined],
    [undefined, undefined],
  ];
  for (const [header, name] of hosts) {
    it(`a Host of “${header}” names ${name}`, () => expect(nameIn(header)).to.equal(name));
  }

  it('loopback is told by the address of the socket', () => {
    for (const address of ['127.0.0.1', '127.9.8.7', '::1', '::ffff:127.0.0.1']) {
      expect(isLoopback(address), address).to.equal(true);
    }
    for (const address of ['192.168.1.1', '::ffff:192.168.1.1', 'fe80::1', '1.127.0.0.1', '']) {
      expect(isLoopback(address), address).to.equal(false);
    }
  });

  it('what a tablet cannot open is not shown to it', () => {
    const at = (address: string, internal = false) => ({
      address,
      internal,
      family: address.includes(':') ? ('IPv6' as const) : ('IPv4' as const),
      netmask: '',
      mac: '',
      cidr: null,
      ...(address.includes(':') ? { scopeid: 0 } : {}),
    });
    const shown = houseAddresses({
      lo: [at('127.0.0.1', true)],
      docker0: [at('172.17.0.1')],
      wlan0: [at('fe80::1'), at('fd00::4'), at('192.168.7.4'), at('169.254.3.3')],
    } as unknown as ReturnType<typeof networkInterfaces>);
    expect(shown).to.deep.equal(['192.168.7.4', '[fd00::4]']);
  });
});

describe('the door', () => {
  const listening = { host: '127.0.0.1', names: 'bread.example' };
  const knock = (over: Partial<Parameters<typeof turnAway>[0]>, proxied = false) =>
    turnAway(
      { method: 'POST', host: 'localhost:4310', origin: null, site: null, ...over },
      listening,
      proxied,
    )?.status;

  const cases: ReadonlyArray<readonly [string, Parameters<typeof knock>, number | undefined]> = [
    ['a tool that says nothing of itself', [{}], undefined],
    ['a page of ours', [{ origin: 'http://localhost:4310', site: 'same-origin' }], undefined],
    ['an address typed by hand', [{ method: 'GET', site: 'none' }], undefined],
    ['a link from elsewhere', [{ method: 'GET', site: 'cross-site' }], undefined],
    ['a name that leads here', [{ host: 'rebound.example:4310' }], 421],
    ['the same for reading', [{ host: 'rebound.example', method: 'GET' }], 421],
    ['a page of somebody else’s', [{ origin: 'https://elsewhere.example' }], 403],
    ['another port of this machine', [{ origin: 'http://localhost:3000' }], 403],
    ['another name of ours', [{ origin: 'http://127.0.0.1:4310' }], 403],
    ['a page without an origin', [{ origin: 'null' }], 403],
    ['nonsense', [{ origin: 'http://[' }], 403],
    ['an iframe’s post', [{ site: 'cross-site' }], 403],
    ['a sister site', [{ site: 'same-site' }], 403],
    ['a given name, not behind a proxy', [{ origin: 'https://bread.example' }], 403],
    ['a given name behind one', [{ origin: 'https://bread.example' }, true], undefined],
    ['a foreign one behind one', [{ origin: 'https://elsewhere.example' }, true], 403],
  ];
  for (const [what, given, status] of cases) {
    it(`${what}: ${status ?? 'comes in'}`, () => expect(knock(...given)).to.equal(status));
  }
});

describe('the code', () => {
  it('is entered in any spelling, and another after it was renewed', () => {
    const code = new PairingCode();
    expect(code.shown).to.match(/^[A-HJ-NP-Z2-9]{4}-[A-HJ-NP-Z2-9]{4}$/);
    const spelled = code.shown.toLowerCase().replace('-', ' ');
    expect(code.enter(spelled, 'a')).to.equal('right');
    const before = code.shown;
    code.renew();
    expect(code.enter(before, 'a')).to.equal('wrong');
    for (const text of ['', 'é'.repeat(8), 'x'.repeat(10_000)]) {
      expect(code.enter(text, 'b')).to.equal('wrong');
    }
  });

  it('tried 1,000 times: stopped after a few, the right one too; another address is not; time frees it', () => {
    let now = 0;
    const code = new PairingCode(() => now);
    const tries = Array.from({ length: 1000 }, () => code.enter('AAAAAAAA', 'guesser'));
    expect(tries.filter((t) => t === 'wrong')).to.have.length(attempts.each);
    expect(code.enter(code.shown, 'guesser')).to.equal('too-often');
    expect(code.enter(code.shown, 'tablet')).to.equal('right');
    now = attempts.withinMs - 1;
    expect(code.enter(code.shown, 'guesser')).to.equal('too-often');
    now = attempts.withinMs + 1;
    expect(code.enter(code.shown, 'guesser')).to.equal('right');
    // From many addresses at once it is stopped as well.
    for (let i = 0; i < attempts.all; i += 1) code.enter('AAAAAAAA', `address ${i}`);
    expect(code.enter(code.shown, 'tablet')).to.equal('too-often');
  });

  it('a cookie is its kitchen’s own, to the last letter', () => {
    const [key, other] = ['a', 'b'].map((id) => ({
      id,
      secret: Buffer.alloc(32, id).toString('base64url'),
    }));
    const cookie = sign('device', key!);
    expect(deviceIn(cookie, key!)).to.equal('device');
    expect(deviceIn(cookie, other!)).to.equal(undefined);
    for (const bent of [
      '',
      'device',
      'device.',
      `other.${cookie.split('.')[1]}`,
      `${cookie.slice(0, -2)}AA`,
      undefined,
    ]) {
      expect(deviceIn(bent, key!), bent).to.equal(undefined);
    }
    expect(cookieName(key!)).not.to.equal(cookieName(other!));
  });
});

describe('what every answer says', () => {
  it('text says its letters, once', () => {
    expect(withCharset('text/html')).to.equal('text/html; charset=utf-8');
    expect(withCharset('application/problem+json')).to.contain('charset=utf-8');
    expect(withCharset('text/css;charset=UTF-8')).to.equal('text/css;charset=UTF-8');
    expect(withCharset('image/png')).to.equal('image/png');
    expect(withCharset('image/svg+xml')).to.contain('charset=utf-8');
  });

  it('a page that is asked for is one that there is', () => {
    const page = (text: string) => pageIn(new URLSearchParams({ page: text }), 95, 20);
    expect(
      ['1', '5', '6', '1e300', '-3', 'x', '2.7', 'Infinity', '0'].map((t) => page(t).page),
    ).to.deep.equal([1, 5, 5, 5, 1, 1, 2, 5, 1]);
    expect(page('5')).to.deep.equal({ page: 5, pages: 5, offset: 80 });
    expect(pageIn(new URLSearchParams(), 0, 20)).to.deep.equal({ page: 1, pages: 1, offset: 0 });
  });
});

/** Asks with headers that a browser would not let a page set. */
const knockAt = (url: string, headers: Record<string, string>, method = 'GET', body = '') =>
  new Promise<{ status: number; headers: Record<string, unknown>; text: string }>(
    (done, failed) => {
      const asked = request(url, { method, headers }, (response) => {
        let text = '';
        response.on('data', (chunk) => (text += chunk));
        response.on('end', () =>
          done({ status: response.statusCode!, headers: response.headers, text }),
        );
      });
      asked.on('error', failed);
      asked.end(body);
    },
  );

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
    expect(await (await pair('AAAA-AAAA')).response.text()).to.contain('not the code');
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
