import type { Bag } from '@tender-crumb/core';
import type { Database } from '../database/open.ts';

/** Bags by their kind; those that are used up as well, for what they taught. */
export async function listBags(db: Database): Promise<Bag[]> {
  const rows = await db
    .selectFrom('bag')
    .selectAll()
    .orderBy('ingredient')
    .orderBy('name')
    .execute();
  return rows.map(({ id, name, ingredient, opened_on, facts }) => ({
    id,
    name,
    ingredient,
    ...(opened_on ? { openedOn: opened_on } : {}),
    ...(JSON.parse(facts) as Partial<Bag>),
  }));
}

const rowOf = ({ id, name, ingredient, openedOn, ...facts }: Bag) => ({
  id,
  name,
  ingredient,
  opened_on: openedOn ?? null,
  facts: JSON.stringify(facts),
});

export async function addBag(db: Database, bag: Bag): Promise<void> {
  await db.insertInto('bag').values(rowOf(bag)).execute();
}

/** Says of a bag what is now known of it; false where there is none of that id. */
export async function saveBag(db: Database, bag: Bag): Promise<boolean> {
  const { id, ...row } = rowOf(bag);
  const { numUpdatedRows } = await db
    .updateTable('bag')
    .set(row)
    .where('id', '=', id)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}
