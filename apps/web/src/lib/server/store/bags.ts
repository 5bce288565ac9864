import type { Database } from '../database/open.ts';

/** A bag of flour, told apart from others of its kind. */
export interface Bag {
  readonly id: string;
  readonly name: string;
  readonly ingredient: string;
  readonly openedOn?: string;
}

export async function listBags(db: Database): Promise<Bag[]> {
  const rows = await db
    .selectFrom('bag')
    .selectAll()
    .orderBy('ingredient')
    .orderBy('name')
    .execute();
  return rows.map(({ id, name, ingredient, opened_on }) => ({
    id,
    name,
    ingredient,
    ...(opened_on ? { openedOn: opened_on } : {}),
  }));
}

export async function addBag(db: Database, { openedOn, ...bag }: Bag): Promise<void> {
  await db
    .insertInto('bag')
    .values({ ...bag, opened_on: openedOn ?? null })
    .execute();
}
