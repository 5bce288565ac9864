import { expect } from 'chai';
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { request } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { certificateIn, namesOf } from '../src/lib/server/serve/certificate.ts';
import { TestServer } from './server.ts';

const day = 86_400_000;
const names = new Set(['127.0.0.1', 'localhost', '[::1]', 'lock', 'lock.local', '192.168.1.9']);

describe('the certificate of a machine at home', () => {
  let folder: string;
  beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'tender-crumb-certificate-'))));
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  it('is for its names and addresses, a year long, and its key for its owner alone', async () => {
    expect(namesOf(names)).to.deep.equal({
      names: ['localhost', 'lock', 'lock.local'],
      addresses: ['127.0.0.1', '192.168.1.9', '::1'],
    });
    const now = Date.parse('2026-05-01T00:00:00Z');
    const read = new X509Certificate((await certificateIn(folder, names, now)).cert);
    expect(read.checkHost('lock.local')).to.equal('lock.local');
    expect(read.checkIP('192.168.1.9')).to.equal('192.168.1.9');
    expect(read.checkHost('elsewhere.example')).to.equal(undefined);
    expect(read.ca).to.equal(false);
    const days = (Date.parse(read.validTo) - now) / day;
    expect(days).to.be.within(396, 398);
    expect(statSync(join(folder, 'key.pem')).mode & 0o077).to.equal(0);
  });

  it('stays while it holds and fits, and is made anew a month before it ends or where a name came', async () => {
    const now = Date.now();
    const { cert } = await certificateIn(folder, names, now);
    expect((await certificateIn(folder, names, now + 366 * day)).cert).to.equal(cert);
    expect((await certificateIn(folder, names, now + 368 * day)).cert).to.not.equal(cert);
    const again = (await certificateIn(folder, names, now)).cert;
    expect((await certificateIn(folder, new Set([...names, 'mill.local']), now)).cert).to.not.equal(
      again,
    );
    expect(readFileSync(join(folder, 'certificate.pem'), 'utf8')).to.contain('BEGIN CERTIFICATE');
  });
});

describe('served over https', () => {
  const server = new TestServer();
  after(() => server.end());

  it('by one setting, with words on what a browser will ask', async () => {
    await server.start({ TENDER_CRUMB_HTTPS: '1' });
    const address = /https:\/\/127\.0\.0\.1:(\d+)\//.exec(server.said);
    expect(server.said).to.contain('Each browser asks once');
    const status = await new Promise<number | undefined>((done, failed) =>
      request(
        { host: '127.0.0.1', port: Number(address![1]), path: '/', rejectUnauthorized: false },
        (answer) => done(answer.resume().statusCode),
      )
        .on('error', failed)
        .end(),
    );
    expect(status).to.equal(200);
  });
});
