import type { BakeEvent } from '@tender-crumb/core/bake';
import { completeFormula } from '@tender-crumb/core/exchange';
import { expect } from 'chai';
import type { Database } from '../src/lib/server/database/open.ts';
import { addBag, listBags, saveBag } from '../src/lib/server/store/bags.ts';
import { appendEvents } from '../src/lib/server/store/append-events.ts';
import { listBakes, readBake, startBake } from '../src/lib/server/store/bakes.ts';
import { addFormula } from '../src/lib/server/store/formulas.ts';
import { learnWholeBook } from '../src/lib/server/store/learn-book.ts';
import { TestFolder } from './kitchen.ts';

const loaf = completeFormula({
  name: 'Tin loaf',
  stages: [
    {
      lines: [
        { ingredient: 'bread-flour', grams: 500, bag: 'blue' },
        { ingredient: 'water', grams: 320 },
      ],
    },
  ],
});
const at = (minute: number) => `2026-11-20T08:${String(minute).padStart(2, '0')}:00.000Z`;
const event = (id: string, minute: number, kind: string, data: object) =>
  ({ id, at: at(minute), kind, data }) as BakeEvent;

describe('what a bag has left', () => {
  const folder = new TestFolder();
  let db: Database;
  before(async () => {
    db = await folder.open();
    await addBag(db, {
      id: 'blue',
      name: 'Blue sack',
      ingredient: 'bread-flour',
      left: { grams: 2000, at: at(0) },
    });
    await addBag(db, { id: 'red', name: 'Red sack', ingredient: 'bread-flour' });
    await addFormula(db, loaf, { id: 'tin' });
  });
  after(() => folder.end());

  const left = async (id = 'blue') => (await listBags(db)).find((b) => b.id === id)!.hasLeft;
  const bake = async (id: string, ...events: BakeEvent[]) => {
    await startBake(db, { id, formulaId: 'tin', formulaVersion: 1, method: 'hand' });
    await appendEvents(db, id, events);
  };

  it('goes down by what each bake took, once it is finished, and not before', async () => {
    const item = loaf.stages[0]!.lines[0]!.id;
    const weighed = event('w', 10, 'weighed', { item, grams: 510, byScale: true });
    await bake('b1', weighed);
    expect(await left()).to.equal(2000);
    await appendEvents(db, 'b1', [event('f', 20, 'finished', {})]);
    expect(await left()).to.equal(1490);
    // What is mended afterwards is mended here too.
    await appendEvents(db, 'b1', [
      event('a', 12, 'added', { ingredient: 'bread-flour', grams: 9 }),
    ]);
    expect(await left()).to.equal(1481);
    await bake('b2', event('f', 30, 'finished', {}));
    expect(await left()).to.equal(981);
  });

  it('comes back with a finish that is taken back', async () => {
    await appendEvents(db, 'b2', [event('r', 31, 'retracted', { event: 'f' })]);
    expect(await left()).to.equal(1481);
  });

  it('is counted anew from when somebody looked; unknown where nobody did', async () => {
    const bag = (await listBags(db)).find((b) => b.id === 'blue')!;
    await saveBag(db, { ...bag, left: { grams: 900, at: at(50) } });
    expect(await left()).to.equal(900);
    await bake('b3', event('f', 59, 'finished', {}));
    expect(await left()).to.equal(400);
    expect(await left('red')).to.equal(undefined);
    // What is worked out is never stored as said.
    const row = await db
      .selectFrom('bag')
      .select('facts')
      .where('id', '=', 'blue')
      .executeTakeFirst();
    expect(row!.facts).not.to.contain('hasLeft');
  });
});

describe('a database of before bags knew what they have left', () => {
  it('opens, keeps its bakes and learns again; its bags say nothing of what is left', async () => {
    const folder = new TestFolder().from('sixth-2026-11.db');
    try {
      const db = await folder.open();
      const { rows } = await listBakes(db);
      expect(rows).to.have.length(5);
      expect((await listBags(db)).map((b) => b.hasLeft)).to.deep.equal(Array(4).fill(undefined));
      await learnWholeBook(db);
      for (const { id } of rows) expect((await readBake(db, id))!.lesson).to.have.property('felt');
    } finally {
      await folder.end();
    }
  });
});
