import { expect } from 'chai';
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';

/** One build at a time in a folder: a turn that nobody holds keeps nobody waiting. */
describe('a turn in this folder', () => {
  const name = `turn-${process.pid}`;
  const cache = resolve('node_modules/.cache');
  const file = `${cache}/${name}.turn`;
  const take = `import { oneAtATime } from ${JSON.stringify(resolve('scripts/one-at-a-time.mjs'))}; oneAtATime('${name}');`;
  const taken = (ms: number) =>
    spawnSync(process.execPath, ['--input-type=module', '-e', `${take} console.log('mine');`], {
      encoding: 'utf8',
      timeout: ms,
    }).stdout.includes('mine');
  /** A turn that is free is taken at once; a machine that is busy takes long to begin a process, ms. */
  const patience = 60_000;
  before(() => mkdirSync(cache, { recursive: true }));
  afterEach(() => rmSync(file, { force: true }));

  it('is held by a process that lives, and given back with it', async () => {
    const holder = spawn(
      process.execPath,
      ['--input-type=module', '-e', `${take} console.log('mine'); setTimeout(() => {}, 60_000);`],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    );
    await new Promise((done) => holder.stdout.once('data', done));
    expect(taken(1500)).to.equal(false);
    holder.kill('SIGKILL');
    await new Promise((gone) => holder.once('exit', gone));
    expect(taken(patience)).to.equal(true);
  });

  it('of a copied folder, of a number that is another’s by now, and half a file, is none', () => {
    const root = resolve('.');
    for (const left of [
      JSON.stringify({ pid: process.pid, began: '', root: `${root}-copied` }),
      JSON.stringify({ pid: process.pid, began: 'another run 7', root }),
      String(process.pid),
      '{"pid":',
    ]) {
      writeFileSync(file, left);
      expect(taken(patience), left).to.equal(true);
    }
  });
});
