import { asAlways, measuredAs, measuresAlike, type KitchenThen } from '@tender-crumb/core/bake';
import type { Settings } from '@tender-crumb/core/household';
import type { Bag } from '@tender-crumb/core/ingredient';
import { createHash } from 'node:crypto';
import { inTransaction, type Database } from '../database/open.ts';
import { wantLearning } from './learning.ts';

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

/** Puts another kitchen in the place of each that a change makes another of. */
async function mendKitchens(
  tx: Database,
  mend: (kitchen: KitchenThen) => KitchenThen,
): Promise<void> {
  for (const [id, kitchen] of await readKitchens(tx)) {
    const mended = mend(kitchen);
    if (mended === kitchen) continue;
    const now = await keepKitchen(tx, mended);
    if (now === id) continue;
    await tx.updateTable('bake').set({ kitchen_id: now }).where('kitchen_id', '=', id).execute();
    await tx.deleteFrom('kitchen').where('id', '=', id).execute();
  }
}

/** A bag had always been as it is said to be now: in every kitchen that it stood in. */
export const bagWasAlwaysSo = (tx: Database, bag: Bag): Promise<void> =>
  mendKitchens(tx, (kitchen) => asAlways(kitchen, bag));

/** The household had always measured as it does now. The book is learned again with it. */
export const measuresWereAlwaysSo = (db: Database, now: Settings): Promise<void> =>
  inTransaction(db, async (tx) => {
    await mendKitchens(tx, (kitchen) =>
      measuresAlike(kitchen, now) ? kitchen : measuredAs(kitchen, now),
    );
    await wantLearning(tx);
  });

/** How many bakes were made when the household measured otherwise than now. */
export async function bakesMeasuredOtherwise(db: Database, now: Settings): Promise<number> {
  const others = [...(await readKitchens(db))].filter(([, then]) => !measuresAlike(then, now));
  if (others.length === 0) return 0;
  const { total } = await db
    .selectFrom('bake')
    .select((e) => e.fn.countAll<number>().as('total'))
    .where(
      'kitchen_id',
      'in',
      others.map(([id]) => id),
    )
    .executeTakeFirstOrThrow();
  return total;
}
