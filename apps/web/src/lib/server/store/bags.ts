import type { Bag } from '@tender-crumb/core/ingredient';
import { changedOrMade, type Change, type Clash } from '../../wire/merge.ts';
import { inTransaction, type Database } from '../database/open.ts';
import { withWhatIsLeft } from './bag-use.ts';
import { bagWasAlwaysSo } from './kitchens.ts';
import { wantLearning } from './learning.ts';

/** Bags by their kind; those that are used up as well, for what they taught. */
export async function listBags(db: Database): Promise<Bag[]> {
  const rows = await db
    .selectFrom('bag')
    .selectAll()
    .orderBy('ingredient')
    .orderBy('name')
    .execute();
  const bags = rows.map(({ id, name, ingredient, opened_on, facts }) => ({
    id,
    name,
    ingredient,
    ...(opened_on ? { openedOn: opened_on } : {}),
    ...(JSON.parse(facts) as Partial<Bag>),
  }));
  return withWhatIsLeft(db, bags);
}

function rowOf({ id, name, ingredient, openedOn, hasLeft, ...facts }: Bag) {
  // Worked out, never said.
  void hasLeft;
  return { id, name, ingredient, opened_on: openedOn ?? null, facts: JSON.stringify(facts) };
}

export const addBag = (db: Database, bag: Bag): Promise<void> =>
  inTransaction(db, async (tx) => {
    await tx.insertInto('bag').values(rowOf(bag)).execute();
  });

/** What a bag is, and so was at every bake. */
const isA = ({ ingredient, grind, extraction, protein }: Bag): string =>
  JSON.stringify([ingredient, grind, extraction, protein]);

/**
 * Says of a bag what is now known of it; false where there is none of that id. What it is, it was at its
 * bakes too, and the book is learned again where that changed. How moist it is and since when it is
 * open may have come about, or always have been so.
 */
export async function saveBag(
  db: Database,
  bag: Bag,
  since: 'today' | 'always' = 'today',
): Promise<boolean> {
  return inTransaction(db, async (tx) => {
    const before = await bagOf(tx, bag.id);
    if (before) await replaceBag(tx, before, bag, since);
    return before !== undefined;
  });
}

const bagOf = async (tx: Database, id: string): Promise<Bag | undefined> =>
  (await listBags(tx)).find((b) => b.id === id);

async function replaceBag(
  tx: Database,
  before: Bag,
  bag: Bag,
  since: 'today' | 'always',
): Promise<void> {
  const { id, ...row } = rowOf(bag);
  await tx.updateTable('bag').set(row).where('id', '=', id).execute();
  if (since === 'always') await bagWasAlwaysSo(tx, bag);
  if (since === 'always' || isA(before) !== isA(bag)) await wantLearning(tx);
}

/**
 * Makes a change to a bag, field by field, on what stands there by now; one that is not there is made of it, and what was
 * made once under an id is not made again.
 *
 * @param checked what a bag must be, said where it is not
 * @returns undefined where there is none to change
 */
export async function changeBag(
  db: Database,
  id: string,
  change: Change,
  since: 'today' | 'always',
  checked: (bag: object) => Promise<Omit<Bag, 'id'>> | Omit<Bag, 'id'>,
): Promise<{ bag: Bag; clashes: readonly Clash[] } | undefined> {
  return inTransaction(db, async (tx) => {
    const there = await bagOf(tx, id);
    const { id: same, hasLeft, ...theirs } = there ?? { id };
    void [same, hasLeft];
    const changed = changedOrMade(there && theirs, change, 'name');
    if (!changed) return undefined;
    const { value, clashes } = changed;
    const bag = { ...(await checked(value)), id };
    if (there) await replaceBag(tx, there, bag, since);
    else await tx.insertInto('bag').values(rowOf(bag)).execute();
    return { bag, clashes };
  });
}
