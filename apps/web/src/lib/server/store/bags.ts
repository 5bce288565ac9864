import type { Bag } from '@tender-crumb/core';
import { inTransaction, type Database } from '../database/open.ts';
import { wantLearning } from './learning.ts';

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

export const addBag = (db: Database, bag: Bag): Promise<void> =>
  inTransaction(db, async (tx) => {
    await tx.insertInto('bag').values(rowOf(bag)).execute();
  });

/** What of a bag bears on how much it drinks. */
const drinksAs = ({ ingredient, grind, extraction, moisture, openedOn }: Bag): string =>
  JSON.stringify([ingredient, grind, extraction, moisture, openedOn]);

/**
 * Says of a bag what is now known of it; false where there is none of that id. What its bakes taught
 * was relative to what was said of its flour before: the book is learned again where that changed.
 */
export async function saveBag(db: Database, bag: Bag): Promise<boolean> {
  return inTransaction(db, async (tx) => {
    const before = (await listBags(tx)).find((b) => b.id === bag.id);
    if (!before) return false;
    const { id, ...row } = rowOf(bag);
    await tx.updateTable('bag').set(row).where('id', '=', id).execute();
    if (drinksAs(before) !== drinksAs(bag)) await wantLearning(tx);
    return true;
  });
}
