import Libsql from 'libsql';
import { expect } from 'chai';
import { spawnSync } from 'node:child_process';
import { statSync } from 'node:fs';
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
import { backUpEachNight } from '../src/lib/server/jobs/nightly.ts';
import { addFormula } from '../src/lib/server/store/formulas.ts';
import { TestFolder } from './kitchen.ts';
import { TestServer } from './server.ts';
import { loaf } from './a-loaf.ts';

const mode = (path: string) => (statSync(path).mode & 0o777).toString(8);

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
