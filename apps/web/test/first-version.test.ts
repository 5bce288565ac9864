import Libsql from 'libsql';
import { expect } from 'chai';
import { backupFolder, listBackups } from '../src/lib/server/database/backup.ts';
import { inTransaction } from '../src/lib/server/database/open.ts';
import { isBookLearned, wantLearning, wantLearningBy } from '../src/lib/server/store/learning.ts';
import { listBags } from '../src/lib/server/store/bags.ts';
import { readFormula, saveFormula } from '../src/lib/server/store/formulas.ts';
import { listAside } from '../src/lib/server/store/formula-asides.ts';
import { readBelief } from '../src/lib/server/store/belief.ts';
import { readHousehold } from '../src/lib/server/store/household.ts';
import { learnWholeBook } from '../src/lib/server/store/learn-book.ts';
import { listBakes, readBake } from '../src/lib/server/store/bakes.ts';
import { TestFolder } from './kitchen.ts';
import { formulaFormat, layLines } from '@tender-crumb/core/formula';
import type { Belief } from '@tender-crumb/core/belief';
import { modelVersion } from '@tender-crumb/core/learn';

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
