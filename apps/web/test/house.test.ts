import Libsql from 'libsql';
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
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { join, resolve } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import {
  backUpNightly,
  backupFolder,
  checkWhole,
  kept,
  listBackups,
  nightIsDue,
  restoreBackup,
  toThin,
  type Backup,
} from '../src/lib/server/database/backup.ts';
import { isTrouble, storageFault, storageWords } from '../src/lib/server/database/fault.ts';
import { patienceMs } from '../src/lib/server/database/driver.ts';
import { backUpEachNight } from '../src/lib/server/jobs/nightly.ts';
import { inTransaction, openDatabase, type Database } from '../src/lib/server/database/open.ts';
import { isBookLearned, wantLearning, wantLearningBy } from '../src/lib/server/store/learning.ts';
import { listBags } from '../src/lib/server/store/bags.ts';
import {
  addFormula,
  listFormulas,
  readFormula,
  saveFormula,
} from '../src/lib/server/store/formulas.ts';
import { listAside } from '../src/lib/server/store/formula-asides.ts';
import { readBelief } from '../src/lib/server/store/belief.ts';
import { readHousehold } from '../src/lib/server/store/household.ts';
import { learnWholeBook } from '../src/lib/server/store/learn-book.ts';
import { listBakes, readBake } from '../src/lib/server/store/bakes.ts';
import { TestFolder } from './kitchen.ts';
import { TestServer } from './server.ts';
import { completeFormula } from '@tender-crumb/core/exchange';
import { formulaFormat, layLines } from '@tender-crumb/core/formula';
import type { Belief } from '@tender-crumb/core/belief';
import { modelVersion } from '@tender-crumb/core/learn';

const loaf = completeFormula({
  name: 'Loaf',
  stages: [{ lines: [{ ingredient: 'bread-flour', grams: 500 }] }],
});
const mode = (path: string) => (statSync(path).mode & 0o777).toString(8);

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

describe('copies of the data', () => {
  const night = (at: string): Backup => ({
    file: at,
    name: `nightly-${at}`,
    reason: 'nightly',
    at: `${at}T03:00:00Z`,
  });
  const days = (from: string, n: number) =>
    Array.from({ length: n }, (_, i) =>
      night(new Date(Date.parse(from) - i * 86_400_000).toISOString().slice(0, 10)),
    );

  it('of a year of nights those of 7 days, 5 weeks and 12 months stay', () => {
    const all = days('2026-11-25', 365);
    const gone = new Set(toThin(all));
    const stay = all.filter((b) => !gone.has(b)).map((b) => b.at.slice(0, 10));
    expect(stay.slice(0, 7)).to.deep.equal(all.slice(0, 7).map((b) => b.at.slice(0, 10)));
    expect(stay.length).to.be.within(kept.days + 3 + 10, kept.days + kept.weeks + kept.months);
    expect(stay.at(-1)! <= '2026-01-01').to.equal(true);
  });

  it('a clock that was set years ahead or back makes none of them old', () => {
    expect(toThin([...days('2036-01-01', 1), ...days('2026-11-25', 6)])).to.deep.equal([]);
    expect(toThin(days('2026-11-25', 7))).to.deep.equal([]);
    expect(toThin(days('2026-11-25', 60)).length).to.be.greaterThan(40);
  });

  it('is made by itself, in a thread, soon after the start, and once', async () => {
    const folder = new TestFolder();
    process.env['TENDER_CRUMB_WORKER'] = resolve('apps/web/build/worker.js');
    const db = await folder.open();
    await addFormula(db, { ...loaf, name: 'Before the night' });
    const made = () => listBackups(backupFolder(folder.file)).filter((b) => b.reason === 'nightly');
    expect(nightIsDue(folder.file)).to.equal(true);
    const stops = [backUpEachNight(folder.file, 10)];
    try {
      while (made().length === 0) await pause(20);
      expect(nightIsDue(folder.file)).to.equal(false);
      checkWhole(made()[0]!.file);
      stops.push(backUpEachNight(folder.file, 10));
      await pause(300);
      expect(made()).to.have.length(1);
    } finally {
      for (const stop of stops) stop();
      delete process.env['TENDER_CRUMB_WORKER'];
      await folder.end();
    }
  });

  it('one a night, whole, with what stands only in the log', async () => {
    const folder = new TestFolder();
    try {
      const db = await folder.open();
      await addFormula(db, loaf, { id: 'f' });
      const now = new Date('2026-11-25T20:00:00Z');
      expect(nightIsDue(folder.file, now)).to.equal(true);
      const copy = backUpNightly(folder.file, now);
      expect(nightIsDue(folder.file, new Date('2026-11-25T23:59:00Z'))).to.equal(false);
      expect(nightIsDue(folder.file, new Date('2026-11-26T00:00:00Z'))).to.equal(true);
      // Set back a year, it is another night, and one copy is enough for it.
      const back = new Date('2025-11-25T20:00:00Z');
      backUpNightly(folder.file, back);
      expect(nightIsDue(folder.file, back)).to.equal(false);
      expect(listBackups(backupFolder(folder.file)).map((b) => b.at)).to.deep.equal([
        '2026-11-25T20:00:00Z',
        '2025-11-25T20:00:00Z',
      ]);
      const read = new Libsql(copy);
      expect(read.prepare('select count(*) as n from formula').get()).to.include({ n: 1 });
      read.close();
      expect(mode(copy)).to.equal('600');
    } finally {
      await folder.end();
    }
  });

  it('npm run backup while it runs, npm run restore when it is stopped: as the README has it', async () => {
    const server = await new TestServer().start();
    const npm = (script: string, ...given: string[]) => {
      const { status, stdout, stderr } = spawnSync(
        process.execPath,
        ['--import=tsx', resolve(`scripts/${script}.ts`), ...given],
        { env: { ...process.env, TENDER_CRUMB_DATA: server.folder }, encoding: 'utf8' },
      );
      return { status, said: stdout + stderr };
    };
    try {
      await server.ask('POST', '/api/v1/formulas', { ...loaf, name: 'Before' });
      const backup = npm('backup');
      expect(backup, backup.said).to.include({ status: 0 });
      await server.ask('POST', '/api/v1/formulas', { ...loaf, name: 'After' });
      const [copy] = listBackups(join(server.folder, 'own', 'backups'));
      const running = npm('restore', copy!.name);
      expect(running.said).to.contain('stop it first');
      expect(running.status).not.to.equal(0);
      await server.kill('SIGTERM');
      const restored = npm('restore', copy!.name);
      expect(restored, restored.said).to.include({ status: 0 });
      await server.start();
      const { json } = await server.ask('GET', '/api/v1/formulas');
      expect(
        json['formulas'].map((f: { formula: { name: string } }) => f.formula.name),
      ).to.deep.equal(['Before']);
      // What was replaced is among the copies, and is as good as any other.
      const replaced = listBackups(join(server.folder, 'own', 'backups')).find(
        (b) => b.reason === 'replaced',
      )!;
      await server.kill('SIGTERM');
      restoreBackup(replaced.file, server.file);
      await server.start();
      expect((await server.ask('GET', '/api/v1/formulas')).json['total']).to.equal(2);
    } finally {
      await server.end();
    }
  }).timeout(60_000);
});

describe('databases of the first version', () => {
  for (const fixture of ['own-2026-11.db', 'demo-2026-11.db']) {
    it(`${fixture} opens, with a copy made before it was changed`, async () => {
      const folder = new TestFolder().from(fixture);
      try {
        const was = new Libsql(folder.file);
        const count = (of: Libsql.Database, table: string) =>
          (of.prepare(`select count(*) as n from ${table}`).get() as { n: number }).n;
        const tables = ['formula', 'formula_version', 'bake', 'bake_event', 'bag', 'setting'];
        const before = tables.map((t) => count(was, t));
        was.close();
        const db = await folder.open();
        const [copy] = listBackups(backupFolder(folder.file));
        expect(copy!.reason).to.equal('before-change');
        const old = new Libsql(copy!.file);
        expect(tables.map((t) => count(old, t))).to.deep.equal(before);
        expect(count(old, 'kysely_migration')).to.equal(2);
        old.close();
        const now = new Libsql(folder.file);
        expect(tables.map((t) => count(now, t))).to.deep.equal(before);
        now.close();
        await learnWholeBook(db);
        for (const bake of (await listBakes(db, { limit: 200 })).rows) {
          expect((await readBake(db, bake.id))!.events.length).to.be.greaterThan(0);
          expect(bake.circumstances.assumed).to.equal(true);
          expect(bake.circumstances.day).to.equal(bake.startedAt.slice(0, 10));
          if (bake.finishedAt) expect(bake.forecast).to.have.keys('points', 'low', 'high');
        }
        await db.destroy();
        // Opened once more there is nothing left to change, and no copy is made.
        await (await folder.open()).destroy();
        expect(listBackups(backupFolder(folder.file))).to.have.length(1);
      } finally {
        await folder.end();
      }
    });
  }

  it('of a model that knew no smooth base: its bakes keep what they can, and teach anew', async () => {
    const folder = new TestFolder().from('third-2026-11.db');
    try {
      const db = await folder.open();
      const oats = ({ keys, mean }: Belief) => mean[keys.indexOf('thirst:oat-fibre')]!;
      // A spoon of flour had made a wheat bread of a seed loaf: its oat fibre was taught to drink nothing.
      expect(oats((await readBelief(db)).belief)).to.be.below(-2);
      expect(await isBookLearned(db)).to.equal(true);
      await wantLearningBy(db, modelVersion);
      expect(await isBookLearned(db)).to.equal(false);
      await learnWholeBook(db);
      expect(Math.abs(oats((await readBelief(db)).belief))).to.be.below(0.5);
      await wantLearningBy(db, modelVersion);
      expect(await isBookLearned(db)).to.equal(true);

      const { circumstances, forecast } = (await readBake(db, 'bake1'))!;
      const [bag] = await listBags(db);
      expect(circumstances).to.deep.include({ day: '2026-11-11', assumed: true });
      expect(circumstances.kitchen.room).to.deep.equal({ celsius: 19, humidity: 0.55 });
      expect(circumstances.kitchen.bags[bag!.id]).to.deep.equal({
        moisture: 12.6,
        openedOn: '2026-10-01',
      });
      expect(forecast!.low).to.be.below(forecast!.points);
      // A figure on which nothing rested is gone; the other stays.
      expect((await readHousehold(db)).figures).to.deep.equal({ softening: 0.25 });
    } finally {
      await folder.end();
    }
  });

  it('of the first format of formulas: every body reads in today’s, a brought-in starter and all', async () => {
    const folder = new TestFolder().from('fourth-2026-11.db');
    try {
      const db = await folder.open();
      const rows = await db.selectFrom('formula_version').select('body').execute();
      expect(rows.map((r) => (JSON.parse(r.body) as { format: string }).format)).to.deep.equal([
        'tender-crumb/formula-1',
        'tender-crumb/formula-1',
      ]);
      const sour = (await readFormula(db, 'tin'))!.formula;
      expect(sour).to.include({ format: formulaFormat, pieces: 2, source: '500 g strong flour' });
      expect(sour.taken[0]).to.include({ correction: 'swap:instant-yeast:starter' });
      const grams = new Map(layLines(sour).map((l) => [`${l.stage} ${l.ingredient}`, l.grams]));
      expect(grams.get('s1 instant-yeast')).to.equal(0);
      expect(grams.get('starter water')).to.be.above(40);
      expect((await listAside(db, 'tin'))[0]!.formula.format).to.equal(formulaFormat);

      const bake = (await readBake(db, 'b1'))!;
      expect(bake).to.include({ formulaId: 'tin', formulaVersion: 2 });
      expect(bake.events.map((e) => e.id)).to.deep.equal(['e1', 'e2', 'e3', 'e4']);
      const before = bake.lesson!;
      await inTransaction(db, wantLearning);
      await learnWholeBook(db);
      // Learned by today's model: what was felt and added is as it was, and again it is the same sum.
      const { lesson } = (await readBake(db, 'b1'))!;
      expect(lesson).to.deep.include({ felt: before.felt, added: before.added });
      await inTransaction(db, wantLearning);
      await learnWholeBook(db);
      expect((await readBake(db, 'b1'))!.lesson).to.deep.equal(lesson);

      // Saved again as it was read, it is no new version.
      expect(await saveFormula(db, 'tin', 2, sour)).to.deep.equal({ outcome: 'saved', version: 2 });
    } finally {
      await folder.end();
    }
  });

  it('what stood there five times stands once, a finish taken back has no lesson, odd figures are left out', async () => {
    const folder = new TestFolder().from('own-2026-11.db');
    try {
      const db = await folder.open();
      const rows = await db.selectFrom('formula_aside').select('formula_id').execute();
      expect(rows).to.have.length(2);
      expect(await listAside(db, rows[0]!.formula_id)).to.have.length(2);
      await learnWholeBook(db);
      const bakes = (await listBakes(db, { limit: 50 })).rows;
      for (const bake of bakes) expect(Boolean(bake.lesson)).to.equal(Boolean(bake.finishedAt));
      const household = await readHousehold(db);
      expect(household.figures).to.deep.equal({ 'thirst:bread-flour': 0.62 });
      // A bag that was opened on a day that never was is of unknown age, and harms no level.
      expect(household.bags[0]!.openedOn).to.equal('2026-02-30');
    } finally {
      await folder.end();
    }
  });
});
