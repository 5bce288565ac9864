import { expect } from 'chai';
import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { TestServer } from './server.ts';

describe('a kitchen’s file gone through once more', () => {
  const server = new TestServer();
  before(async function () {
    this.timeout(120_000);
    await server.start({ TENDER_CRUMB_DEMO: '1' });
    await server.learned();
  });
  after(() => server.end());

  const replay = (...args: readonly string[]) =>
    spawnSync(process.execPath, ['--import=tsx', 'scripts/replay.ts', ...args], {
      encoding: 'utf8',
    });

  it('each finished bake as it would be forecast, led and learned now, beside what was', async function () {
    this.timeout(60_000);
    const zip = join(server.folder, 'house.zip');
    const file = await fetch(`${server.url}/api/v1/kitchen`);
    writeFileSync(zip, new Uint8Array(await file.arrayBuffer()));
    const { status, stdout, stderr } = replay(zip);
    expect(stderr).to.equal('');
    expect(status).to.equal(0);
    const [, bakes, forecast] =
      /^(\d+) bakes: (\d+) forecast as they were, \d+ led as they were tapped\.$/m
        .exec(stdout)!
        .map(Number);
    expect(bakes).to.be.above(50);
    // The demo made its book by these rules a moment ago.
    expect(forecast).to.equal(bakes);
    expect(stdout.match(/^ {2}led {7}.*First rise/gm)!.length).to.be.above(bakes! / 2);
    expect(stdout.match(/^ {2}taught {4}.*thirst:/gm)!.length).to.be.above(bakes! / 2);
    expect(replay(zip).stdout).to.equal(stdout);
  });

  it('without a file, and with one that is none, it says so', () => {
    expect(replay().stderr).to.contain('Which file?');
    const { status, stderr } = replay('package.json');
    expect(status).to.equal(1);
    expect(stderr).to.not.equal('');
  });
});
