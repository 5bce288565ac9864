import { expect } from 'chai';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { kept, sweep, toThin, type Backup } from '../src/lib/server/database/backup.ts';

describe('what a stop in the middle left', () => {
  it('is swept: half-made files, logs of nothing; never the live log, nor one that still holds something', () => {
    const folder = mkdtempSync(join(tmpdir(), 'tender-crumb-sweep-'));
    const backups = join(folder, 'backups');
    const incoming = join(folder, 'incoming');
    mkdirSync(backups);
    mkdirSync(incoming);
    const put = (path: string, text = '') => writeFileSync(path, text);
    const live = ['tender-crumb.db', 'tender-crumb.db-wal', 'tender-crumb.db-shm', 'doors.json'];
    for (const name of live) put(join(folder, name));
    for (const name of [
      'tender-crumb.db.new',
      'tender-crumb.db.new-wal',
      'tender-crumb.db.new-shm',
      '.restored.db',
      '.restored.db-wal',
    ])
      put(join(folder, name));
    put(join(backups, 'nightly-a.db'));
    put(join(backups, 'nightly-a.db-wal'));
    put(join(backups, 'nightly-a.db-shm'));
    put(join(backups, 'gone.db-wal'), 'x');
    put(join(backups, '.nightly-b.db.half'));
    put(join(backups, 'replaced-c.db'));
    put(join(backups, 'replaced-c.db-wal'), 'written last');
    put(join(incoming, 'out-1.db'));
    put(join(incoming, 'file.zip'));
    sweep(join(folder, 'tender-crumb.db'));
    expect(readdirSync(folder).sort()).to.deep.equal([...live, 'backups', 'incoming'].sort());
    expect(readdirSync(backups).sort()).to.deep.equal([
      'nightly-a.db',
      'replaced-c.db',
      'replaced-c.db-wal',
    ]);
    expect(readdirSync(incoming)).to.deep.equal(['file.zip']);
    expect(existsSync(join(folder, 'tender-crumb.db-wal'))).to.equal(true);
    rmSync(folder, { recursive: true });
  });

  it('copies by hand and what was replaced stay up to a number, the newest of them', () => {
    const of = (reason: Backup['reason'], n: number): Backup[] =>
      Array.from({ length: n }, (_, i) => ({
        file: `${reason}-${i}`,
        name: `${reason}-${i}`,
        reason,
        at: `2026-01-01T00:00:${String(59 - i).padStart(2, '0')}Z`,
      }));
    const thin = (backups: Backup[]) => toThin(backups).map((b) => b.name);
    expect(thin(of('by-hand', kept.byHand))).to.deep.equal([]);
    expect(thin(of('by-hand', kept.byHand + 1))).to.deep.equal([`by-hand-${kept.byHand}`]);
    expect(thin(of('replaced', kept.replaced))).to.deep.equal([]);
    expect(thin(of('replaced', kept.replaced + 2))).to.have.length(2);
  });
});
