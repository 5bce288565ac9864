import { asAlways, type Bag, type KitchenThen } from '@tender-crumb/core';
import { createHash } from 'node:crypto';
import type { Database } from '../database/open.ts';

/** Keeps a kitchen as it was, each distinct one once; gives its id. */
export async function keepKitchen(tx: Database, kitchen: KitchenThen): Promise<string> {
  const body = JSON.stringify(kitchen);
  const id = createHash('sha256').update(body).digest('hex').slice(0, 32);
  await tx
    .insertInto('kitchen')
    .values({ id, body })
    .onConflict((c) => c.column('id').doNothing())
    .execute();
  return id;
}

/** Kitchens by their ids, each a value of its own however many bakes were made in it. */
export async function readKitchens(db: Database): Promise<ReadonlyMap<string, KitchenThen>> {
  const rows = await db.selectFrom('kitchen').selectAll().execute();
  return new Map(rows.map(({ id, body }) => [id, JSON.parse(body) as KitchenThen]));
}

/** A bag had always been as it is said to be now: in every kitchen that it stood in. */
export async function bagWasAlwaysSo(tx: Database, bag: Bag): Promise<void> {
  for (const [id, kitchen] of await readKitchens(tx)) {
    const mended = asAlways(kitchen, bag);
    if (mended === kitchen) continue;
    const now = await keepKitchen(tx, mended);
    if (now === id) continue;
    await tx.updateTable('bake').set({ kitchen_id: now }).where('kitchen_id', '=', id).execute();
    await tx.deleteFrom('kitchen').where('id', '=', id).execute();
  }
}
