import { inTransaction, type Database } from '../database/open.ts';
import { currentIso } from '../../clock.ts';

/** A timer by its name. The moment is an ISO text. */
export interface Timer {
  readonly id: string;
  readonly name: string;
  readonly dueAt: string;
}

export async function listTimers(db: Database): Promise<Timer[]> {
  const rows = await db.selectFrom('timer').selectAll().orderBy('due_at').execute();
  return rows.map(({ id, name, due_at }) => ({ id, name, dueAt: due_at }));
}

export async function countTimers(db: Database): Promise<number> {
  const { n } = await db
    .selectFrom('timer')
    .select((e) => e.fn.countAll<number>().as('n'))
    .executeTakeFirstOrThrow();
  return n;
}

/** Sets a timer, or sets it anew. */
export const setTimer = (db: Database, { id, name, dueAt }: Timer): Promise<void> =>
  inTransaction(db, async (tx) => {
    const row = { name, due_at: dueAt };
    await tx
      .insertInto('timer')
      .values({ id, ...row, made_at: currentIso() })
      .onConflict((c) => c.column('id').doUpdateSet(row))
      .execute();
  });

/** Stops a timer; one that is not there is stopped already. */
export const stopTimer = (db: Database, id: string): Promise<void> =>
  inTransaction(db, async (tx) => {
    await tx.deleteFrom('timer').where('id', '=', id).execute();
  });
