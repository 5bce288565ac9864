import { nothingLearned, type Belief } from '@tender-crumb/core/belief';
import { expect } from 'chai';
import { inTransaction, type Database } from '../src/lib/server/database/open.ts';
import { readBelief, saveBelief } from '../src/lib/server/store/belief.ts';
import { TestFolder } from './kitchen.ts';

const breads = Array.from({ length: 50 }, (_, n) => `departure:b${n}`);
const known: Belief = {
  ...nothingLearned,
  bakes: Object.fromEntries(breads.map((key) => [key, 1])),
  windows: Object.fromEntries(breads.map((key, n) => [key, [{ points: n, stars: 3 }]])),
};
/** A bake of one bread taught. */
const baked = (belief: Belief, bread: string): Belief => ({
  ...belief,
  bakes: { ...belief.bakes, touch: (belief.bakes['touch'] ?? 0) + 1, [bread]: 2 },
});

describe('what is believed, as it is kept', () => {
  const folder = new TestFolder();
  let db: Database;
  before(async () => {
    db = await folder.open();
  });
  after(() => folder.end());

  const revisions = async () =>
    Object.fromEntries(
      (await db.selectFrom('belief_bread').select(['key', 'revision']).execute()).map((r) => [
        r.key,
        r.revision,
      ]),
    );

  it('of fifty breads one bake writes one, and all of it is read', async () => {
    await saveBelief(db, known);
    expect((await readBelief(db)).belief).to.deep.equal(known);
    const first = await revisions();
    const next = baked(known, 'departure:b7');
    await inTransaction(db, async (tx) => {
      await saveBelief(tx, baked((await readBelief(tx)).belief, 'departure:b7'));
      expect((await readBelief(tx)).belief).to.deep.equal(next);
    });
    expect((await readBelief(db)).belief).to.deep.equal(next);
    const changed = Object.entries(await revisions()).filter(([key, at]) => at !== first[key]);
    expect(changed).to.deep.equal([['departure:b7', first['departure:b7']! + 1]]);
    // Whoever knows nothing yet reads the same.
    const { body } = await db.selectFrom('belief').select('body').executeTakeFirstOrThrow();
    expect(body).to.not.contain('departure:b');
  });

  it('what was taken back was never believed, though its revision comes again', async () => {
    const { belief, revision } = await readBelief(db);
    const fault = await inTransaction(db, async (tx) => {
      await saveBelief(tx, baked(belief, 'departure:b1'));
      expect((await readBelief(tx)).revision).to.equal(revision + 1);
      throw new Error('the power went');
    }).catch((f: Error) => f);
    expect(fault).to.be.instanceOf(Error);
    expect(await readBelief(db)).to.deep.include({ belief, revision });
    const other = baked(belief, 'departure:b2');
    await saveBelief(db, other);
    expect(await readBelief(db)).to.deep.include({ belief: other, revision: revision + 1 });
  });

  it('a bread of which nothing is known any more is forgotten by whoever read it', async () => {
    const { belief } = await readBelief(db);
    const { 'departure:b3': gone, ...windows } = belief.windows!;
    const { 'departure:b3': also, ...bakes } = belief.bakes;
    expect([gone, also]).to.deep.equal([[{ points: 3, stars: 3 }], 1]);
    await saveBelief(db, { ...belief, windows, bakes });
    expect((await readBelief(db)).belief).to.deep.equal({ ...belief, windows, bakes });
    await saveBelief(db, belief);
    expect((await readBelief(db)).belief).to.deep.equal(belief);
  });
});

describe('a belief that was kept whole', () => {
  const folder = new TestFolder().from('ninth-2026-11.db');
  after(() => folder.end());

  it('is read as it was, and after the next bake as well', async () => {
    const db = await folder.open();
    const { body } = await db.selectFrom('belief').select('body').executeTakeFirstOrThrow();
    const whole = JSON.parse(body) as Belief;
    expect(Object.keys(whole.windows ?? {})).to.have.length(2);
    expect((await readBelief(db)).belief).to.deep.equal(whole);
    const [bread] = Object.keys(whole.windows!);
    const next = baked(whole, bread!);
    await saveBelief(db, next);
    expect((await readBelief(db)).belief).to.deep.equal(next);
    const shared = await db.selectFrom('belief').select('body').executeTakeFirstOrThrow();
    expect((JSON.parse(shared.body) as Belief).windows).to.deep.equal({});
  });
});
