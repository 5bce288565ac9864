import { expect } from 'chai';
import { strToU8, zipSync } from 'fflate';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { manifestEntry, tableEntry } from '../src/lib/server/archive/tables.ts';
import { unpack } from '../src/lib/server/archive/unpack.ts';

describe('a file that is unpacked', () => {
  const place = mkdtempSync(join(tmpdir(), 'tender-crumb-unpack-'));
  after(() => rmSync(place, { recursive: true, force: true }));

  /** Bit 4 of the attributes outside: the mark of a folder, byte 38 of a record of the list at the end. */
  const markedFolders = (zip: Uint8Array): Uint8Array => {
    const bent = zip.slice();
    for (let at = 0; at + 46 <= bent.length; at += 1)
      if (bent[at] === 0x50 && bent[at + 1] === 0x4b && bent[at + 2] === 1 && bent[at + 3] === 2)
        bent[at + 38] = bent[at + 38]! | 0x10;
    return bent;
  };

  it('has what it had, though a bit says that a table without rows is a folder', async () => {
    const file = join(place, 'file.zip');
    const entries = { [manifestEntry]: strToU8('{}'), [tableEntry('bake')]: strToU8('') };
    const namesIn = async (bytes: Uint8Array) => {
      writeFileSync(file, bytes);
      await unpack(file, join(place, 'unpacked'));
      return readdirSync(join(place, 'unpacked'), { recursive: true, encoding: 'utf8' }).sort();
    };
    const whole = await namesIn(zipSync(entries));
    expect(whole).to.include.members([manifestEntry, tableEntry('bake')]);
    const bent = markedFolders(zipSync(entries));
    expect(bent).to.not.deep.equal(zipSync(entries));
    expect(await namesIn(bent)).to.deep.equal(whole);
  });
});
