import { expect } from 'chai';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { TestServer } from './server.ts';

const loaf = (name: string) => ({
  name,
  stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }],
});

/** A disk of its own, a few megabytes large: only who may mount one can look. */
describe('a disk that is full when the program starts', () => {
  const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-full-'));
  const server = new TestServer(folder);
  let mounted = false;
  before(function () {
    try {
      execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=3m', 'tmpfs', folder], { stdio: 'ignore' });
      mounted = true;
    } catch {
      this.skip();
    }
  });
  after(async () => {
    await server.kill('SIGKILL');
    if (mounted) execFileSync('umount', ['-l', folder]);
    rmSync(folder, { recursive: true, force: true });
  });

  it('still reads; what is written is refused in words; with room again it writes, without a new start', async () => {
    await server.start();
    const made = await server.ask('POST', '/api/v1/formulas', loaf('Before'));
    expect(made.status).to.equal(201);
    await server.kill('SIGTERM');

    const { bavail, bsize } = statfsSync(folder);
    const filler = join(folder, 'filler');
    writeFileSync(filler, Buffer.alloc(bavail * bsize));
    await server.start();
    const read = await server.ask('GET', '/api/v1/formulas');
    expect([read.status, read.json['total']]).to.deep.equal([200, 1]);
    for (const path of ['/', `/bench/${made.json['id']}`, '/book', '/bake', '/pantry'])
      expect((await server.ask('GET', path)).status, path).to.equal(200);
    const refused = await server.ask('POST', '/api/v1/formulas', loaf('Meanwhile'));
    expect([refused.status, refused.json['title']]).to.deep.equal([507, 'The disk is full']);

    rmSync(filler);
    // The first try finds room again, or hears once more that there was none.
    await server.ask('POST', '/api/v1/formulas', loaf('Meanwhile'));
    expect((await server.ask('POST', '/api/v1/formulas', loaf('After'))).status).to.equal(201);
  });
});
