import { expect } from 'chai';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { TestServer } from './server.ts';
import { formula, filled } from './archive-file.ts';

describe('copies on the page', () => {
  const server = new TestServer();
  before(() => server.start());
  after(() => server.end());

  it('one is made, told with what is in it, put back while the program runs; what stood there becomes one', async () => {
    const { bread, bake } = await filled(server);
    const made = (await server.ask('POST', '/api/v1/kitchen/backups', {})).json['copies'] as Array<
      Record<string, unknown>
    >;
    expect(made).to.have.length(1);
    expect(made[0]).to.include({ reason: 'by-hand', bakes: 1, formulas: 1, photos: 1 });
    expect(made[0]!['bytes']).to.be.greaterThan(10_000);

    // The bake is taken out, with its photo; another formula comes.
    expect((await server.ask('DELETE', `/api/v1/bakes/${bake}`)).status).to.equal(204);
    expect((await server.ask('DELETE', `/api/v1/bakes/${bake}`)).status).to.equal(204);
    expect((await server.ask('GET', `/api/v1/bakes/${bake}`)).status).to.equal(404);
    expect(existsSync(join(server.folder, 'own', 'photos', 'loaf.jpg'))).to.equal(false);
    await server.ask('POST', '/api/v1/formulas', formula('Later loaf'));

    const back = await server.ask('PUT', '/api/v1/kitchen/backups', { name: made[0]!['name'] });
    expect(back.status).to.equal(200);
    expect(
      (back.json['copies'] as Array<Record<string, unknown>>).map((c) => c['reason']),
    ).to.include('replaced');
    await server.learned();
    expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(1);
    expect((await server.ask('GET', `/api/v1/bakes/${bake}`)).json['outcome']['stars']).to.equal(4);
    expect((await fetch(`${server.url}/api/v1/bakes/${bake}/photos/loaf`)).status).to.equal(200);
    // And back again.
    const replaced = (back.json['copies'] as Array<Record<string, string>>).find(
      (c) => c['reason'] === 'replaced',
    )!;
    await server.ask('PUT', '/api/v1/kitchen/backups', { name: replaced['name'] });
    expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(2);
    expect((await server.ask('GET', `/api/v1/formulas/${bread}`)).status).to.equal(200);
  });

  it('there is no copy of that name, and none outside the folder', async () => {
    expect(
      (
        await server.ask('PUT', '/api/v1/kitchen/backups', {
          name: 'nightly-2020-01-01T00-00-00Z.db',
        })
      ).status,
    ).to.equal(404);
    for (const name of ['../../x.db', '/etc/passwd', '', 5])
      expect((await server.ask('PUT', '/api/v1/kitchen/backups', { name })).status).to.equal(400);
  });

  it('a lost machine comes back from last night’s copy on another one', async () => {
    const lost = new TestServer();
    await lost.start();
    const { bake } = await filled(lost);
    const [copy] = (await lost.ask('POST', '/api/v1/kitchen/backups', {})).json['copies'] as Array<{
      name: string;
    }>;
    await lost.kill();
    const found = new TestServer();
    const { cpSync, mkdirSync } = await import('node:fs');
    mkdirSync(join(found.folder, 'own'), { recursive: true });
    // All that was saved of it is the folder of copies.
    cpSync(join(lost.folder, 'own', 'backups'), join(found.folder, 'own', 'backups'), {
      recursive: true,
    });
    const { restoreBackup } = await import('../src/lib/server/database/backup.ts');
    restoreBackup(join(found.folder, 'own', 'backups', copy!.name), found.file);
    await found.start();
    try {
      expect((await found.ask('GET', `/api/v1/bakes/${bake}`)).json['outcome']['note']).to.contain(
        'brick',
      );
      expect((await fetch(`${found.url}/api/v1/bakes/${bake}/photos/loaf`)).status).to.equal(200);
    } finally {
      await found.end();
      await lost.end();
    }
  });

  it('everything is taken away where that was said in so many words, and nothing where it was not', async () => {
    for (const say of ['yes', '', 'Everything!'])
      expect((await server.ask('POST', '/api/v1/kitchen/away', { say })).status).to.equal(400);
    expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(2);
    expect(
      (await server.ask('POST', '/api/v1/kitchen/away', { say: 'everything' })).status,
    ).to.equal(204);
    expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(0);
    expect((await server.ask('GET', '/api/v1/kitchen/backups')).json['copies']).to.deep.equal([]);
    expect(existsSync(join(server.folder, 'own', 'photos'))).to.equal(false);
    await server.kill();
    await server.start();
    expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(0);
  });
});
