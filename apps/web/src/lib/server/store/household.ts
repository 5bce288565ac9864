import { defaultHousehold, nothingLearned, type Belief, type Household } from '@tender-crumb/core';
import type { Database } from '../database/open.ts';

const key = 'household';

/** What the household settled, or the usual where it has not. */
export async function readHousehold(db: Database): Promise<Household> {
  const row = await db
    .selectFrom('setting')
    .select('value')
    .where('key', '=', key)
    .executeTakeFirst();
  return row ? { ...defaultHousehold, ...(JSON.parse(row.value) as Household) } : defaultHousehold;
}

export async function saveHousehold(db: Database, household: Household): Promise<void> {
  const value = JSON.stringify(household);
  await db
    .insertInto('setting')
    .values({ key, value })
    .onConflict((c) => c.column('key').doUpdateSet({ value }))
    .execute();
}

/** What the book has taught, with its revision. */
export async function readBelief(db: Database): Promise<{ belief: Belief; revision: number }> {
  const row = await db.selectFrom('belief').selectAll().where('id', '=', 1).executeTakeFirst();
  return row
    ? { belief: JSON.parse(row.body) as Belief, revision: row.revision }
    : { belief: nothingLearned, revision: 0 };
}

export async function saveBelief(db: Database, belief: Belief): Promise<void> {
  const body = JSON.stringify(belief);
  await db
    .insertInto('belief')
    .values({ id: 1, revision: 1, body })
    .onConflict((c) =>
      c.column('id').doUpdateSet((e) => ({ body, revision: e('belief.revision', '+', 1) })),
    )
    .execute();
}
