import { expect } from 'chai';
import { copyFileSync, existsSync, mkdirSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { request } from 'node:http';
import { connect } from 'node:net';
import { join, resolve } from 'node:path';
import { withWriting } from '../src/lib/server/gate/doors-book.ts';
import { placeIn } from '../src/lib/server/gate/place.ts';
import { wasPassedOn } from '../src/lib/server/gate/names.ts';
import { writingOf } from '../src/lib/server/gate/writings.ts';
import { pairWith } from './pair-with.ts';
import { TestServer } from './server.ts';

const settings = { TENDER_CRUMB_PROXY: '1' };
const atHome = { TENDER_CRUMB_PROXY: '0' };
describe('who may come in', () => {
  const server = new TestServer();
  before(() => server.start(settings));
  after(() => server.end());

  it('what cookies are signed with stands in a file of its own, for its owner alone, and goes out with nothing', async () => {
    const { cookie } = await pairWith(server, 'Tablet');
    const file = join(server.folder, 'own', 'doors.json');
    const { key } = JSON.parse(readFileSync(file, 'utf8'));
    expect(statSync(file).mode & 0o077).to.equal(0);
    const out = Buffer.from(
      await (await fetch(`${server.url}/api/v1/kitchen`, { headers: { cookie } })).arrayBuffer(),
    );
    for (const secret of [key.secret, key.id]) expect(out.includes(secret)).to.equal(false);
    const made = await fetch(`${server.url}/api/v1/kitchen/backups`, {
      method: 'POST',
      headers: { cookie, origin: server.url },
    });
    expect(made.status).to.equal(201);
    expect(readdirSync(join(server.folder, 'own', 'backups'))).to.have.length(1);
    const folder = join(server.folder, 'own');
    for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
      if (name === 'doors.json' || !statSync(join(folder, name)).isFile()) continue;
      expect(readFileSync(join(folder, name)).includes(key.secret), name).to.equal(false);
    }
  });

  it('a device that was forgotten is told so, and one that is not known is told that', async () => {
    const { cookie } = await pairWith(server, 'Phone');
    const ask = (headers: Record<string, string>) =>
      server.ask('GET', '/api/v1/formulas', undefined, headers);
    const { devices } = (await server.ask('GET', '/api/v1/devices', undefined, { cookie })).json;
    const phone = devices.find((d: { name: string }) => d.name === 'Phone');
    await server.ask('DELETE', `/api/v1/devices/${phone.id}`, undefined, { cookie });
    const gone = await ask({ cookie });
    expect([gone.status, gone.json['code']]).to.deep.equal([401, 'forgotten']);
    const page = await fetch(`${server.url}/bench`, { headers: { cookie }, redirect: 'manual' });
    expect(page.headers.get('location')).to.contain('why=forgotten');
    const strange = await ask({});
    expect([strange.status, strange.json['code']]).to.deep.equal([401, 'unknown']);
    const bent = await ask({ cookie: `${cookie.slice(0, -3)}AAA` });
    expect(bent.json['code']).to.equal('unknown');
  });

  it('putting back a copy of before revives nobody, and puts out nobody', async () => {
    await server.kill('SIGTERM');
    await server.start(settings);
    const lost = await pairWith(server, 'Lost tablet');
    const kept = await pairWith(server, 'Kept tablet');
    const ask = (cookie: string, method: string, path: string, body?: unknown) =>
      server.ask(method, path, body, { cookie });
    // A copy of a moment at which both were in.
    const { copyWhole, backupFolder } = await import('../src/lib/server/database/backup.ts');
    const copy = join(backupFolder(server.file), 'by-hand-2026-05-01T08-00-00Z.db');
    copyWhole(server.file, copy);
    const { devices } = (await ask(kept.cookie, 'GET', '/api/v1/devices')).json;
    const id = devices.find((d: { name: string }) => d.name === 'Lost tablet').id;
    await ask(kept.cookie, 'DELETE', `/api/v1/devices/${id}`);
    expect((await ask(lost.cookie, 'GET', '/api/v1/formulas')).status).to.equal(401);
    const put = await ask(kept.cookie, 'PUT', '/api/v1/kitchen/backups', {
      name: 'by-hand-2026-05-01T08-00-00Z.db',
    });
    expect(put.status, JSON.stringify(put.json)).to.equal(200);
    expect((await ask(lost.cookie, 'GET', '/api/v1/formulas')).status).to.equal(401);
    expect((await ask(kept.cookie, 'GET', '/api/v1/formulas')).status).to.equal(200);
    expect((await ask(kept.cookie, 'POST', '/api/v1/formulas', { stages: [] })).status).to.equal(
      400,
    );
  });

  it('ten devices come in by one code at once; each is in, none is twice', async () => {
    // Whoever was forgotten knew the code that stood on the terminal.
    await server.kill('SIGTERM');
    await server.start(settings);
    const before = JSON.parse(readFileSync(join(server.folder, 'own', 'doors.json'), 'utf8'));
    const all = await Promise.all(
      Array.from({ length: 10 }, (_, i) => pairWith(server, `Device ${i}`)),
    );
    expect(all.map((a) => a.status)).to.deep.equal(Array(10).fill(303));
    const { devices } = JSON.parse(readFileSync(join(server.folder, 'own', 'doors.json'), 'utf8'));
    expect(devices).to.have.length(before.devices.length + 10);
    expect(new Set(devices.map((d: { id: string }) => d.id)).size).to.equal(devices.length);
    for (const { cookie } of all) {
      const { status } = await server.ask('GET', '/api/v1/formulas', undefined, { cookie });
      expect(status).to.equal(200);
    }
  });

  it('who wrote what is remembered, by name, over a restart', async () => {
    const { cookie } = await pairWith(server, 'Writing tablet');
    for (let i = 0; i < 3; i += 1)
      await server.ask(
        'PUT',
        `/api/v1/timers/t${i}`,
        { name: 'Oats', dueAt: '2026-11-27T08:00:00Z' },
        { cookie },
      );
    await server.ask('POST', '/api/v1/evaluate', {}, { cookie });
    await server.kill('SIGTERM');
    const { written } = JSON.parse(readFileSync(join(server.folder, 'own', 'doors.json'), 'utf8'));
    expect(written[0]).to.include({ by: 'Writing tablet', what: 'a timer', times: 3 });
    await server.start(settings);
  });

  it('a book that cannot be read is kept aside, and everybody pairs anew', async () => {
    await server.kill('SIGTERM');
    const file = join(server.folder, 'own', 'doors.json');
    const { writeFileSync } = await import('node:fs');
    writeFileSync(file, '{"format":1,"key":{"id":"x","secret":""},"devices":[]}');
    await server.start(settings);
    expect((await pairWith(server, 'Tablet')).status).to.equal(303);
    expect(existsSync(`${file}.damaged`)).to.equal(true);
  });
});

describe('a kitchen from before', () => {
  it('opens, and what cookies were signed with is gone from its data: everybody pairs anew', async () => {
    const server = new TestServer();
    mkdirSync(join(server.folder, 'own'), { recursive: true });
    copyFileSync(resolve('apps/web/test/fixtures/seventh-2026-11.db'), server.file);
    try {
      await server.start();
      expect((await server.ask('GET', '/api/v1/formulas')).status).to.equal(200);
      await server.kill('SIGTERM');
      expect(readFileSync(server.file).includes('kitchen-key')).to.equal(false);
    } finally {
      await server.end();
    }
  });
});

describe('at home', () => {
  const server = new TestServer();
  before(() => server.start(atHome));
  after(() => server.end());

  const asked = (headers: Record<string, string>) =>
    new Promise<number | undefined>((done, failed) => {
      const { hostname, port } = new URL(server.url);
      request({ hostname, port, path: '/api/v1/formulas', headers }, (answer) =>
        done(answer.resume().statusCode),
      )
        .on('error', failed)
        .end();
    });

  it('is who sits at the machine, and nobody whose request was passed on', async () => {
    expect(await asked({})).to.equal(200);
    for (const header of [
      'Forwarded',
      'X-Forwarded-For',
      'X-Forwarded-Host',
      'X-Forwarded-Anything',
      'X-Real-IP',
      'Via',
    ])
      expect(await asked({ [header]: '127.0.0.1' }), header).to.equal(401);
    // The program's own mark is nobody else's to put on or to take off.
    expect(await asked({ 'x-kitchen-passed-on': '1' })).to.equal(200);
    expect(wasPassedOn(['host', 'accept'])).to.equal(false);
    expect(wasPassedOn(['x-forwardedfor'])).to.equal(false);
  });

  it('a body that has no end is answered with 413, and closed', async () => {
    const { hostname, port } = new URL(server.url);
    const socket = connect(Number(port), hostname);
    let said = '';
    socket.on('data', (chunk) => (said += chunk.toString()));
    socket.on('error', () => undefined);
    const closed = new Promise((done) => socket.once('close', done));
    socket.write(
      `POST /api/v1/evaluate HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nContent-Type: application/json\r\nTransfer-Encoding: chunked\r\n\r\n`,
    );
    const piece = `10000\r\n${'a'.repeat(0x10000)}\r\n`;
    const pour = setInterval(() => socket.writable && socket.write(piece), 20);
    try {
      await closed;
    } finally {
      clearInterval(pour);
    }
    expect(said).to.match(/^HTTP\/1\.1 413 /);
    expect((await server.ask('GET', '/api/v1/formulas')).status).to.equal(200);
  }).timeout(20_000);
});

describe('where somebody is led after the code', () => {
  const places: ReadonlyArray<readonly [to: string | null, place: string]> = [
    [null, '/'],
    ['/bench/loaf?x=1#y', '/bench/loaf?x=1#y'],
    ['/pantry', '/pantry'],
    ['//elsewhere.example', '/'],
    ['/\\elsewhere.example', '/'],
    ['/\t/elsewhere.example', '/'],
    ['\t//elsewhere.example', '/'],
    ['/\n/elsewhere.example', '/'],
    ['/\r\nSet-Cookie: x=1', '/Set-Cookie:%20x=1'],
    ['https://elsewhere.example/', '/'],
    ['javascript:alert(1)', '/'],
    ['/..//elsewhere.example', '/'],
    ['/a/../../\\elsewhere.example', '/'],
    ['bench', '/'],
    ['', '/'],
  ];
  for (const [to, place] of places)
    it(`${JSON.stringify(to)}: ${place}`, () => expect(placeIn(to)).to.equal(place));

  it('never off the site, as a browser reads it, whatever was asked for', () => {
    const pieces = [
      '/',
      '\\',
      '\t',
      '\n',
      '\r',
      ' ',
      '.',
      '..',
      '@',
      ':',
      'elsewhere.example',
      'http:',
      '%2f',
      '?',
      '#',
    ];
    let seed = 7;
    const draw = () => (seed = (seed * 1103515245 + 12345) % 2 ** 31) / 2 ** 31;
    for (let i = 0; i < 20_000; i += 1) {
      const to = Array.from(
        { length: 1 + Math.floor(6 * draw()) },
        () => pieces[Math.floor(draw() * pieces.length)],
      ).join('');
      const place = placeIn(to);
      expect(new URL(place, 'http://kitchen.example').origin, JSON.stringify(to)).to.equal(
        'http://kitchen.example',
      );
      expect(place).not.to.match(/[\u0000-\u001f]/);
    }
  });
});

describe('who wrote what', () => {
  it('more of the same soon after is one; another hand, another thing or a while later is not', () => {
    const at = (minute: number) => new Date(Date.UTC(2026, 4, 1, 8, minute)).toISOString();
    let log = withWriting([], { by: 'A', what: 'a plan', at: at(0) });
    log = withWriting(log, { by: 'A', what: 'a plan', at: at(9) });
    expect(log).to.deep.equal([{ by: 'A', what: 'a plan', at: at(9), times: 2 }]);
    expect(withWriting(log, { by: 'B', what: 'a plan', at: at(10) })).to.have.length(2);
    expect(withWriting(log, { by: 'A', what: 'a bake', at: at(10) })).to.have.length(2);
    expect(withWriting(log, { by: 'A', what: 'a plan', at: at(19) })).to.have.length(2);
    let long = log;
    for (let i = 0; i < 300; i += 1)
      long = withWriting(long, { by: `${i}`, what: 'a plan', at: at(i) });
    expect(long).to.have.length(100);
  });

  it('what only asks is no writing', () => {
    expect(writingOf('GET', '/api/v1/plans')).to.equal(undefined);
    expect(writingOf('POST', '/api/v1/plan')).to.equal(undefined);
    expect(writingOf('POST', '/api/v1/evaluate')).to.equal(undefined);
    expect(writingOf('PUT', '/api/v1/plans/p')).to.equal('a plan');
    expect(writingOf('POST', '/api/v1/bakes/b/photos/p')).to.equal('a photo');
    expect(writingOf('POST', '/pair')).to.equal(undefined);
  });
});
