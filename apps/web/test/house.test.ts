import Libsql from 'libsql';
import { expect } from 'chai';
import { existsSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { backUpNightly, checkWhole } from '../src/lib/server/database/backup.ts';
import { isTrouble, storageFault } from '../src/lib/server/database/fault.ts';
import { patienceMs } from '../src/lib/server/database/driver.ts';
import { inTransaction, openDatabase, type Database } from '../src/lib/server/database/open.ts';
import { addFormula, listFormulas, saveFormula } from '../src/lib/server/store/formulas.ts';
import { TestFolder } from './kitchen.ts';
import { loaf } from './a-loaf.ts';

/** What opening a file is refused for. */
const troubleOf = (file: string) =>
  openDatabase(file).then(
    async (db) => {
      await db.destroy();
      return 'none';
    },
    (fault) => (isTrouble(fault) ? fault.trouble : String(fault)),
  );

describe('a lock that somebody else holds', () => {
  let folder: TestFolder;
  let db: Database;
  let other: Libsql.Database;
  before(async () => {
    folder = new TestFolder();
    db = await folder.open();
    await addFormula(db, loaf, { id: 'f' });
    other = new Libsql(folder.file, { timeout: 0 });
  });
  after(async () => {
    other.close();
    await folder.end();
  });

  it('for 3 s: words after about 2 s, reads answered at once meanwhile, everything well afterwards', async () => {
    other.exec('begin immediate');
    const begun = performance.now();
    let slowest = 0;
    let reads = 0;
    let done = false;
    const reading = (async () => {
      while (!done) {
        const start = performance.now();
        expect((await listFormulas(db)).total).to.be.greaterThan(0);
        slowest = Math.max(slowest, performance.now() - start);
        reads += 1;
        await pause(5);
      }
    })();
    const refused = await Promise.allSettled(
      Array.from({ length: 3 }, (_, i) => addFormula(db, { ...loaf, name: `Held ${i}` })),
    );
    const waited = performance.now() - begun;
    done = true;
    await reading;
    expect(
      refused.map((r) => r.status === 'rejected' && isTrouble(r.reason, 'busy')),
    ).to.deep.equal([true, true, true]);
    expect(waited).to.be.within(patienceMs * 0.9, patienceMs + 1000);
    expect(reads).to.be.greaterThan(50);
    expect(slowest).to.be.lessThan(200);
    other.exec('commit');
    for (let i = 0; i < 20; i += 1) await addFormula(db, { ...loaf, name: `After ${i}` });
    expect((await listFormulas(db, { search: 'After', limit: 1 })).total).to.equal(20);
  }).timeout(20_000);

  it('for a moment: nobody notices', async () => {
    other.exec('begin immediate');
    const adding = addFormula(db, { ...loaf, name: 'Patient' });
    await pause(300);
    other.exec('commit');
    await adding;
    expect((await listFormulas(db, { search: 'Patient' })).total).to.equal(1);
  });

  it('a write outside a transaction is refused, and jams nothing', async () => {
    const write = db.updateTable('formula').set({ name: 'x' }).where('id', '=', 'f').execute();
    const fault = await write.then(
      () => undefined,
      (thrown: unknown) => thrown,
    );
    expect(isTrouble(fault, 'readonly')).to.equal(true);
    await addFormula(db, { ...loaf, name: 'Still well' });
  });

  it('two changes at once are one after the other, and one that fails leaves nothing', async () => {
    const seen: string[] = [];
    await Promise.allSettled([
      inTransaction(db, async (tx) => {
        seen.push('one begins');
        await addFormula(tx, loaf, { id: 'gone' });
        await pause(30);
        seen.push('one ends');
        throw new Error('no');
      }),
      inTransaction(db, async () => void seen.push('two')),
    ]);
    expect(seen).to.deep.equal(['one begins', 'one ends', 'two']);
    const rows = await db.selectFrom('formula').select('id').where('id', '=', 'gone').execute();
    expect(rows).to.deep.equal([]);
  });
});

describe('a disk that fills in the middle of a save', () => {
  it('is said in words; nothing of it is stored, and saves go on when there is room', async () => {
    const folder = new TestFolder();
    try {
      const db = await folder.open();
      await addFormula(db, loaf, { id: 'f' });
      const large = { ...loaf, source: 'x'.repeat(60_000) };
      const bound = async (pages: string) =>
        inTransaction(db, async (tx) => {
          const { sql } = await import('kysely');
          await sql.raw(`PRAGMA max_page_count = ${pages}`).execute(tx);
        });
      await bound('1');
      const fault = await saveFormula(db, 'f', 1, large).catch((thrown: unknown) => thrown);
      expect(isTrouble(fault, 'full')).to.equal(true);
      expect((fault as { status: number }).status).to.equal(507);
      await bound('1000000');
      expect(await saveFormula(db, 'f', 1, large)).to.include({ outcome: 'saved', version: 2 });
      await db.destroy();
      checkWhole(folder.file);
    } finally {
      await folder.end();
    }
  });
});

describe('what is wrong with the data', () => {
  it('is told from what the driver says', () => {
    // Result codes and extended ones of sqlite.org/rescode.html.
    const troubles = [
      [5, 'busy'],
      [6, 'busy'],
      [517, 'busy'],
      [13, 'full'],
      [8, 'readonly'],
      [1032, 'readonly'],
      [1544, 'readonly'],
      [11, 'damaged'],
      [26, 'damaged'],
      [778, 'unreadable'],
      [14, 'unreadable'],
    ] as const;
    for (const [rawCode, trouble] of troubles) {
      expect(isTrouble(storageFault({ rawCode }), trouble), String(rawCode)).to.equal(true);
    }
    const constraint = { rawCode: 19 };
    expect(storageFault(constraint)).to.equal(constraint);
    const ours = new Error('ours');
    expect(storageFault(ours)).to.equal(ours);
  });

  const made: ReadonlyArray<readonly [string, string, (file: string) => void]> = [
    [
      'a damaged page',
      'damaged',
      (file) => {
        const bytes = readFileSync(file);
        bytes.fill(0x5a, 4096 * 2, 4096 * 6);
        writeFileSync(file, bytes);
      },
    ],
    [
      'something that is no database',
      'damaged',
      (file) => writeFileSync(file, 'Not flour.'.repeat(900)),
    ],
    ['an emptied file', 'emptied', (file) => truncateSync(file, 0)],
    [
      'a database of somebody else’s',
      'emptied',
      (file) => {
        rmSync(file);
        const database = new Libsql(file);
        database.exec('create table theirs (a)');
        database.close();
      },
    ],
    [
      'data of a newer version',
      'newer',
      (file) => {
        const database = new Libsql(file);
        database.exec("insert into kysely_migration values ('9999-later', '2030-01-01')");
        database.prepare('PRAGMA wal_checkpoint(TRUNCATE)').all();
        database.close();
      },
    ],
    [
      'a file that is gone while its copies are there',
      'vanished',
      (file) => {
        backUpNightly(file);
        rmSync(file);
      },
    ],
  ];
  for (const [what, trouble, make] of made) {
    it(`${what}: ${trouble}, and left as it was`, async () => {
      const folder = new TestFolder();
      try {
        await (await folder.open()).destroy();
        make(folder.file);
        const before = existsSync(folder.file) ? readFileSync(folder.file) : undefined;
        expect(await troubleOf(folder.file)).to.equal(trouble);
        const after = existsSync(folder.file) ? readFileSync(folder.file) : undefined;
        expect(after?.equals(before!) ?? before === undefined).to.equal(true);
      } finally {
        await folder.end();
      }
    });
  }

  it('a half-made file of a start that was cut off is made anew', async () => {
    const folder = new TestFolder();
    try {
      writeFileSync(`${folder.file}.new`, 'half');
      await (await folder.open()).destroy();
      checkWhole(folder.file);
    } finally {
      await folder.end();
    }
  });
});
