import { inTransaction, type Database } from '../database/open.ts';

/** How often the book was wanted learned again, and up to which of those it was. */
export async function learning(db: Database): Promise<{ wanted: number; done: number }> {
  const row = await db
    .selectFrom('learning')
    .select(['wanted', 'done'])
    .where('id', '=', 1)
    .executeTakeFirst();
  return row ?? { wanted: 0, done: 0 };
}

/** Whether the belief is what the whole book teaches. */
export async function isBookLearned(db: Database): Promise<boolean> {
  const { wanted, done } = await learning(db);
  return wanted === done;
}

/**
 * Says that something changed of what the book taught. It is written down with the change itself, so
 * that a power cut between the two cannot lose it.
 */
export async function wantLearning(tx: Database): Promise<void> {
  await tx
    .insertInto('learning')
    .values({ id: 1, wanted: 1, done: 0 })
    .onConflict((c) =>
      c.column('id').doUpdateSet((e) => ({ wanted: e('learning.wanted', '+', 1) })),
    )
    .execute();
}

/**
 * Says so where the book was learned by another version of the dough model than this one.
 *
 * @param model the version that it is to be learned by
 */
export const wantLearningBy = (db: Database, model: number): Promise<void> =>
  inTransaction(db, async (tx) => {
    const row = await tx
      .selectFrom('learning')
      .select('model')
      .where('id', '=', 1)
      .executeTakeFirst();
    if (row?.model === model) return;
    const taught = await tx
      .selectFrom('bake')
      .select('id')
      .where('finished_at', 'is not', null)
      .limit(1)
      .executeTakeFirst();
    if (taught) await wantLearning(tx);
    await tx
      .insertInto('learning')
      .values({ id: 1, wanted: 0, done: 0, model })
      .onConflict((c) =>
        taught ? c.column('id').doNothing() : c.column('id').doUpdateSet({ model }),
      )
      .execute();
  });
