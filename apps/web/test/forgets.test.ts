import 'fake-indexeddb/auto';
import { expect } from 'chai';
import { copyFileSync, rmSync } from 'node:fs';
import { KitchenFiles } from './kitchen-files.ts';
import { TestServer } from './server.ts';
import { nameOf, type Tablet } from './tablet.ts';
import { atHome, tabletsOf } from './tablets-of.ts';

describe('a server that answered, and forgot', () => {
  const server = new TestServer();
  let tablets: readonly Tablet[] = [];
  let end = () => {};
  before(async () => {
    ({ tablets, end } = await tabletsOf(server));
  });
  after(async () => {
    end();
    for (const { box } of tablets) await box.close();
    await server.end();
  });

  it('an older copy is put back: of all that is said after that, each thing is there or is set aside in words', async () => {
    const says = async (turns: number) => {
      for (let n = 0; n < turns; n += 1) for (const tablet of tablets) await tablet.says();
      for (const { box } of tablets) await box.flush();
    };
    await says(12);
    await server.kill('SIGTERM');
    const older = `${server.file}.older`;
    copyFileSync(server.file, older);
    await server.start(atHome);
    await says(30);
    for (const tablet of tablets) expect(tablet.otherwise).to.deep.equal([]);
    await server.kill('SIGKILL');
    for (const part of ['-wal', '-shm']) rmSync(server.file + part, { force: true });
    copyFileSync(older, server.file);
    await server.start(atHome);

    const before = tablets.map(({ said }) => new Map(said));
    await says(30);
    await server.kill('SIGTERM');
    const files = new KitchenFiles(server.file);
    try {
      for (const [i, tablet] of tablets.entries()) {
        const { box, said } = tablet;
        expect(box.standing).to.include({ away: false, unpaired: false });
        expect(await box.keep.waiting()).to.deep.equal([]);
        const aside = await box.keep.listAside();
        for (const { why } of aside) expect(why.length).to.be.greaterThan(8);
        const told = new Set([
          ...tablet.otherwise.map((text) => text.split(': ')[0]!),
          ...aside.map((a) => a.entry.key),
        ]);
        const unknown = [...said]
          .filter(([name, one]) => before[i]!.get(name) !== one && !files.has(one))
          .map(([, one]) => nameOf(one))
          .filter((name) => !told.has(tablet.keyOf(name)));
        expect(unknown).to.deep.equal([]);
        expect(told.size, 'some of it is of what was forgotten').to.be.greaterThan(0);
      }
    } finally {
      files.close();
    }
  }).timeout(120_000);
});
