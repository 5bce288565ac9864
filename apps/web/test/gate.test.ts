import { expect } from 'chai';
import { networkInterfaces } from 'node:os';
import { attempts, PairingCode } from '../src/lib/server/gate/code.ts';
import { cookieName, deviceIn, sign } from '../src/lib/server/gate/cookie.ts';
import { turnAway } from '../src/lib/server/gate/doors.ts';
import { withCharset } from '../src/lib/server/gate/headers.ts';
import { houseAddresses, isLoopback, nameIn, ownNames } from '../src/lib/server/gate/names.ts';
import { pageIn } from '../src/lib/server/paging.ts';

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
