import { expect } from 'chai';
import { spawnSync } from 'node:child_process';
import {
  chmodSync,
  chownSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join, resolve } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { checkWhole } from '../src/lib/server/database/backup.ts';
import { storageWords } from '../src/lib/server/database/fault.ts';
import { TestFolder } from './kitchen.ts';
import { TestServer } from './server.ts';
import { loaf } from './a-loaf.ts';

const mode = (path: string) => (statSync(path).mode & 0o777).toString(8);

describe('a running server on a bad day', () => {
  const servers: TestServer[] = [];
  const serve = async (folder?: string, ...given: Parameters<TestServer['start']>) => {
    const server = new TestServer(folder);
    servers.push(server);
    return server.start(...given);
  };
  afterEach(async () => {
    for (const server of servers.splice(0)) await server.end();
  });

  it('a second server on the same folder says so and stops', async () => {
    const first = await serve();
    const second = await new TestServer(first.folder).start().then(
      () => 'it runs',
      (fault: Error) => fault.message,
    );
    expect(second).to.contain('Another Tender Crumb already serves this folder');
    expect((await first.ask('POST', '/api/v1/formulas', loaf)).status).to.equal(201);
    // A kill frees the folder: nothing is left behind that locks it.
    await first.kill('SIGKILL');
    await first.start();
  });

  it('damaged data: words on the terminal, on the page and to the API; no save goes into them; mended while it runs', async () => {
    const server = await serve();
    await server.ask('POST', '/api/v1/formulas', loaf);
    await server.kill('SIGTERM');
    const good = readFileSync(server.file);
    const bytes = Buffer.from(good);
    bytes.fill(0x5a, 4096 * 2, 4096 * 6);
    writeFileSync(server.file, bytes);
    await server.start();
    expect(server.said).to.contain(storageWords.damaged.title);
    const page = await fetch(`${server.url}/`, { headers: { accept: 'text/html' } });
    expect(page.status).to.equal(503);
    expect(await page.text()).to.contain('npm run restore');
    const saved = await server.ask('POST', '/api/v1/formulas', loaf);
    expect([saved.status, saved.json['title']]).to.deep.equal([503, storageWords.damaged.title]);
    expect(readFileSync(server.file).equals(bytes)).to.equal(true);
    writeFileSync(server.file, good);
    expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(1);
  });

  it('data that may be read and not written: words, and nothing else', async function () {
    const server = await serve();
    await server.kill('SIGTERM');
    // Root may write whatever a file says: the server then runs as nobody.
    const root = process.getuid?.() === 0;
    const program = resolve('apps/web/build/serve.js');
    if (root && spawnSync('test', ['-r', program], { uid: 65534 }).status !== 0) {
      // A folder of root's alone: nobody cannot even read the program there.
      this.skip();
    }
    const own = join(server.folder, 'own');
    if (root) {
      chmodSync(server.folder, 0o755);
      for (const name of ['.', ...readdirSync(own)]) chownSync(join(own, name), 65534, 65534);
    }
    chmodSync(server.file, 0o400);
    chmodSync(own, 0o500);
    await server.start({}, root ? 65534 : undefined);
    expect(server.said).to.contain(storageWords.readonly.title);
    expect((await server.ask('GET', '/api/v1/formulas')).status).to.equal(503);
    await server.kill();
    chmodSync(own, 0o700);
  });

  it('a folder that is deleted while it runs: saves are refused in words, never into nothing', async () => {
    const server = await serve();
    await server.ask('POST', '/api/v1/formulas', loaf);
    const own = join(server.folder, 'own');
    renameSync(own, `${own}-moved`);
    const refused = await server.ask('POST', '/api/v1/formulas', loaf);
    expect([refused.status, refused.json['title']]).to.deep.equal([
      503,
      storageWords.vanished.title,
    ]);
    // Put back where it was, it goes on.
    renameSync(`${own}-moved`, own);
    expect((await server.ask('POST', '/api/v1/formulas', loaf)).status).to.equal(201);
    rmSync(own, { recursive: true });
    expect((await server.ask('POST', '/api/v1/formulas', loaf)).status).to.equal(503);
  });

  it('ends within 3 s of SIGTERM, with a request hanging, and everything in the one file', async () => {
    const server = await serve();
    await server.ask('POST', '/api/v1/formulas', loaf);
    const hanging = fetch(`${server.url}/api/v1/evaluate`, {
      method: 'POST',
      headers: { 'content-type': 'text/plain' },
      body: new ReadableStream({ start: (c) => c.enqueue(new TextEncoder().encode('500 g')) }),
      duplex: 'half',
    } as RequestInit).catch(() => undefined);
    await pause(100);
    const begun = performance.now();
    await server.kill('SIGTERM');
    expect(performance.now() - begun).to.be.lessThan(3000);
    await hanging;
    checkWhole(server.file);
    expect(existsSync(`${server.file}-wal`) ? statSync(`${server.file}-wal`).size : 0).to.equal(0);
  });

  it('ends in order while the book is being learned, whenever that is', async function () {
    this.timeout(90_000);
    const server = await serve(undefined, { TENDER_CRUMB_DEMO: '1' });
    for (let stop = 0; stop < 4; stop += 1) {
      await fetch(server.url);
      await pause(stop * 90);
      expect([
        await server.kill('SIGTERM'),
        server.said.replace(/^Tender Crumb is at.*\n*/m, ''),
      ]).to.deep.equal([0, '']);
      await server.start({ TENDER_CRUMB_DEMO: '1' });
    }
  });

  it('another program that opens a household’s first file and closes it takes nothing from the server', async () => {
    const server = await serve();
    const save = async (name: string) =>
      expect((await server.ask('POST', '/api/v1/formulas', { ...loaf, name })).status).to.equal(
        201,
      );
    const names = async () =>
      (
        (await server.ask('GET', '/api/v1/formulas')).json['formulas'] as Array<{
          formula: { name: string };
        }>
      )
        .map((f) => f.formula.name)
        .sort();
    await save('Before');
    const { status, stderr } = spawnSync(
      process.execPath,
      [
        '--import=tsx',
        '--input-type=module',
        '--eval',
        `const { connect } = await import('./apps/web/src/lib/server/database/open.ts');
         const db = connect(process.env.FILE);
         await db.selectFrom('formula').selectAll().execute();
         await db.destroy();`,
      ],
      { env: { ...process.env, FILE: server.file }, encoding: 'utf8' },
    );
    expect([status, stderr.replace(/^npm.*\n/gm, '')]).to.deep.equal([0, '']);
    await save('Between');
    await save('After');
    expect(await names()).to.deep.equal(['After', 'Before', 'Between']);
    await server.kill();
    await server.start();
    expect(await names()).to.deep.equal(['After', 'Before', 'Between']);
    checkWhole(server.file);
  });

  it('the folder and every file in it are the owner’s alone, those that were not too', async () => {
    const server = await serve();
    await server.ask('POST', '/api/v1/formulas', loaf);
    const own = join(server.folder, 'own');
    const files = () => readdirSync(own).filter((n) => statSync(join(own, n)).isFile());
    expect(files()).to.include.members(['tender-crumb.db', 'tender-crumb.db-wal', 'lock.db']);
    for (const name of files()) expect(mode(join(own, name)), name).to.equal('600');
    expect(mode(own)).to.equal('700');
    await server.kill('SIGTERM');
    chmodSync(own, 0o755);
    chmodSync(server.file, 0o644);
    await server.start();
    expect([mode(own), mode(server.file)]).to.deep.equal(['700', '600']);
  });

  it('the book is learned again beside the requests, with its progress, and again after a kill', async () => {
    const folder = new TestFolder().from('demo-2026-11.db');
    const server = new TestServer();
    servers.push(server);
    mkdirSync(join(server.folder, 'own'), { recursive: true });
    copyFileSync(folder.file, server.file);
    await folder.end();
    await server.start();
    const settings = (await server.ask('GET', '/api/v1/household')).json;
    const figures = { 'thirst:bread-flour': 0.66 };
    const begun = performance.now();
    expect((await server.ask('PATCH', '/api/v1/household', { figures })).status).to.equal(200);
    expect(performance.now() - begun).to.be.lessThan(1500);
    await server.kill('SIGKILL');
    await server.start();
    await server.learned();
    const learned = (await server.ask('GET', '/api/v1/belief')).json;
    await server.ask('PUT', '/api/v1/household', { ...settings, figures });
    await server.learned();
    expect((await server.ask('GET', '/api/v1/belief')).json['belief']).to.deep.equal(
      learned['belief'],
    );
  }).timeout(60_000);
});
