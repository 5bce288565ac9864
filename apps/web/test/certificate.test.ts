import { expect } from 'chai';
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, readdirSync, rmSync, statSync } from 'node:fs';
import { request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect, createServer } from 'node:tls';
import { authorityIn, signedBy, type CertifiedNames } from '../src/lib/server/serve/authority.ts';
import { authorityFolder, certificateIn, namesOf } from '../src/lib/server/serve/certificate.ts';
import { TestServer } from './server.ts';

const day = 86_400_000;
const names = new Set(['127.0.0.1', 'localhost', '[::1]', 'lock', 'lock.local', '192.168.1.9']);
const now = Date.now();

/** What a client that trusts the authority alone says of a server with that certificate, called by a name: OpenSSL's own check. */
async function saidOf(
  served: { cert: string; key: string },
  authority: string,
  servername: string,
): Promise<string> {
  const server = createServer(served, (socket) => socket.end());
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  try {
    return await new Promise((done) => {
      const socket = connect({ port, host: '127.0.0.1', ca: authority, servername }, () =>
        done(socket.authorized ? 'trusted' : String(socket.authorizationError)),
      );
      socket.on('error', (fault: NodeJS.ErrnoException) => done(`${fault.code} ${fault.message}`));
    });
  } finally {
    server.close();
  }
}

describe('the certificate of a machine at home', () => {
  let folder: string;
  beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'tender-crumb-certificate-'))));
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  it('is for its names and addresses, a year long, and every key for its owner alone', async () => {
    expect(namesOf(names)).to.deep.equal({
      names: ['localhost', 'lock', 'lock.local'],
      addresses: ['127.0.0.1', '192.168.1.9', '::1'],
    });
    const at = Date.parse('2026-05-01T00:00:00Z');
    const read = new X509Certificate((await certificateIn(folder, names, [], at)).cert);
    expect(read.checkHost('lock.local')).to.equal('lock.local');
    expect(read.checkIP('192.168.1.9')).to.equal('192.168.1.9');
    expect(read.checkHost('elsewhere.example')).to.equal(undefined);
    expect(read.ca).to.equal(false);
    const days = (Date.parse(read.validTo) - at) / day;
    expect(days).to.be.within(396, 398);
    const own = authorityFolder(folder);
    expect(readdirSync(own).sort()).to.deep.equal([
      'authority-key.pem',
      'authority.pem',
      'certificate.pem',
      'key.pem',
    ]);
    for (const name of readdirSync(own))
      expect(statSync(join(own, name)).mode & 0o077, name).to.equal(0);
  });

  it('stays while it holds and fits, and is made anew a month before it ends or where a name came; the authority stays', async () => {
    const { cert } = await certificateIn(folder, names, [], now);
    const authority = readFileSync(join(authorityFolder(folder), 'authority.pem'), 'utf8');
    expect((await certificateIn(folder, names, [], now + 366 * day)).cert).to.equal(cert);
    expect((await certificateIn(folder, names, [], now + 368 * day)).cert).to.not.equal(cert);
    const again = (await certificateIn(folder, names, [], now)).cert;
    const more = new Set([...names, 'mill.local', '10.0.0.7']);
    expect((await certificateIn(folder, more, [], now)).cert).to.not.equal(again);
    expect(readFileSync(join(authorityFolder(folder), 'authority.pem'), 'utf8')).to.equal(
      authority,
    );
    // A name that is no house's was not allowed to that authority: there is another one.
    await certificateIn(folder, new Set([...names, 'bread.example']), ['bread.example'], now);
    expect(readFileSync(join(authorityFolder(folder), 'authority.pem'), 'utf8')).to.not.equal(
      authority,
    );
  });

  it('is trusted by whoever trusts the house’s authority (OpenSSL), by name and by address', async () => {
    const served = await certificateIn(folder, names, [], now);
    const authority = readFileSync(join(authorityFolder(folder), 'authority.pem'), 'utf8');
    for (const name of ['localhost', 'lock', 'lock.local'])
      expect(await saidOf(served, authority, name), name).to.equal('trusted');
    const other = await certificateIn(join(folder, 'other'), names, [], now);
    expect(await saidOf(other, authority, 'localhost')).to.not.equal('trusted');
  });

  it('the authority can certify nothing outside the house, whoever has its key (OpenSSL)', async () => {
    const authority = await authorityIn(folder, ['lock'], now);
    const forged = (of: CertifiedNames) =>
      signedBy(authority, of, new Date(now - day), new Date(now + day));
    const bank = await forged({ names: ['bank.example'], addresses: [] });
    expect(await saidOf(bank, authority.cert, 'bank.example')).to.match(/permitted subtree/i);
    const mixed = await forged({ names: ['lock.local'], addresses: ['93.184.216.34'] });
    expect(await saidOf(mixed, authority.cert, 'lock.local')).to.match(/permitted subtree/i);
    const home = await forged({ names: ['lock'], addresses: ['10.1.2.3', 'fd00::4'] });
    expect(await saidOf(home, authority.cert, 'lock')).to.equal('trusted');
  });
});

describe('served over https', () => {
  const server = new TestServer();
  after(() => server.end());

  it('by one setting, with words on what to trust; the certificate is had before the code', async () => {
    await server.start({ TENDER_CRUMB_HTTPS: '1', TENDER_CRUMB_PROXY: '1' });
    const address = /https:\/\/127\.0\.0\.1:(\d+)\//.exec(server.said);
    expect(server.said).to.contain('told once to trust the certificate of this house');
    const ask = (path: string, ca?: string) =>
      new Promise<{ status?: number | undefined; body: Buffer }>((done, failed) =>
        request(
          {
            host: 'localhost',
            family: 4,
            port: Number(address![1]),
            path,
            ...(ca ? { ca } : { rejectUnauthorized: false }),
          },
          (answer) => {
            const chunks: Buffer[] = [];
            answer.on('data', (c: Buffer) => chunks.push(c));
            answer.on('end', () =>
              done({ status: answer.statusCode, body: Buffer.concat(chunks) }),
            );
          },
        )
          .on('error', failed)
          .end(),
      );
    const { status, body } = await ask('/house-certificate.crt');
    expect(status).to.equal(200);
    const authority = new X509Certificate(body);
    expect(authority.ca).to.equal(true);
    expect((await ask('/pair', authority.toString())).status).to.equal(200);
    expect((await ask('/api/v1/formulas', authority.toString())).status).to.equal(401);
  });
});
