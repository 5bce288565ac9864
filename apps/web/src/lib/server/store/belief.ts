import { nothingLearned, type Belief } from '@tender-crumb/core/belief';
import { beliefBlocks, joinBlocks, type BreadBlock } from '@tender-crumb/core/learn';
import { inTransaction, outsideOf, type Database } from '../database/open.ts';

/** Stands for the key of what is no single bread's: no bread has it. */
const shared = '';

interface Learned {
  readonly belief: Belief;
  readonly revision: number;
}

interface Read extends Learned {
  /** What of it is one bread's each, as it is kept. */
  readonly breads: ReadonlyMap<string, BreadBlock>;
}

const nothing: Read = { belief: nothingLearned, revision: 0, breads: new Map() };

/** Every page asks for it: what was learned since is read, and no more. */
const learned = new WeakMap<Database, Read>();

/** What the book has taught, with its revision: what was worked out from an older one is stale. */
export const readBelief = (db: Database): Promise<Learned> => read(db);

async function read(db: Database): Promise<Read> {
  const known = learned.get(db) ?? learned.get(outsideOf(db)) ?? nothing;
  const now = await db.selectFrom('belief').select('revision').executeTakeFirst();
  if (!now) return nothing;
  if (known.revision === now.revision) return known;
  // In one question: between two of them a bake may teach.
  const rows = await db
    .selectFrom('belief')
    .select((e) => [e.val(shared).as('key'), 'revision', 'body'])
    .unionAll(
      db
        .selectFrom('belief_bread')
        .select(['key', 'revision', 'body'])
        .where('revision', '>', known.revision),
    )
    .execute();
  const breads = new Map(known.breads);
  let belief = nothingLearned;
  let { revision } = known;
  for (const row of rows)
    if (row.key === shared) {
      belief = JSON.parse(row.body) as Belief;
      revision = row.revision;
    } else breads.set(row.key, JSON.parse(row.body) as BreadBlock);
  const fresh = { belief: joinBlocks(belief, breads), revision, breads };
  learned.set(db, fresh);
  return fresh;
}

/** Keeps what was learned: what its figures share, and those breads that are known otherwise than before. */
export const saveBelief = (db: Database, belief: Belief): Promise<void> =>
  inTransaction(db, async (tx) => {
    const kept = (await read(tx)).breads;
    const { shared: common, breads } = beliefBlocks(belief);
    const body = JSON.stringify(common);
    const { revision } = await tx
      .insertInto('belief')
      .values({ id: 1, revision: 1, body })
      .onConflict((c) =>
        c.column('id').doUpdateSet((e) => ({ body, revision: e('belief.revision', '+', 1) })),
      )
      .returning('revision')
      .executeTakeFirstOrThrow();
    // What is known of a bread no more is known as nothing: whoever read it before hears of it.
    const gone = [...kept.keys()].filter((key) => !breads.has(key));
    for (const [key, block] of [...breads, ...gone.map((key) => [key, {}] as const)]) {
      const text = JSON.stringify(block);
      const before = kept.get(key);
      if (before === block || (before && JSON.stringify(before) === text)) continue;
      const row = { revision, body: text };
      await tx
        .insertInto('belief_bread')
        .values({ key, ...row })
        .onConflict((c) => c.column('key').doUpdateSet(row))
        .execute();
    }
  });
