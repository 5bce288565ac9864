import type { Call, LessonId } from '@tender-crumb/core/practice';
import type { Database } from '../database/open.ts';
import { inTransaction } from '../database/open.ts';

/** What was called of one practice dough. */
export interface Practised {
  readonly id: string;
  readonly at: string;
  readonly lesson: LessonId;
  readonly seed: number;
  readonly call: Call;
}

/** So many rounds say where somebody leans now; older ones where they leaned. */
const newest = 60;

/** The newest rounds, the oldest of them first. */
export async function practised(db: Database): Promise<Practised[]> {
  const rows = await db
    .selectFrom('practice')
    .selectAll()
    .orderBy('at', 'desc')
    .orderBy('id', 'desc')
    .limit(newest)
    .execute();
  return rows.reverse() as Practised[];
}

/** Keeps a round; the same sent twice is once. */
export const keepPractised = (db: Database, round: Practised): Promise<void> =>
  inTransaction(db, async (tx) => {
    await tx
      .insertInto('practice')
      .values({ ...round })
      .onConflict((c) => c.column('id').doNothing())
      .execute();
  });

/** Begins anew: nothing that was practised counts any more. */
export const forgetPractised = (db: Database): Promise<void> =>
  inTransaction(db, async (tx) => {
    await tx.deleteFrom('practice').execute();
  });
