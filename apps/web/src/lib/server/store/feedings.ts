import { inTransaction, type Database } from '../database/open.ts';
import { dayAt } from '../day.ts';

/** What a starter was fed, and how that went. Grams; moments are ISO texts. */
export interface Feeding {
  readonly id: string;
  readonly at: string;
  readonly seed: number;
  readonly flour: number;
  readonly water: number;
  /** When it stood highest. */
  readonly peakAt?: string;
  /** What was taken out and kept for other things. */
  readonly discard?: number;
  readonly note?: string;
}

const of = (row: { id: string; at: string; body: string }): Feeding => ({
  ...(JSON.parse(row.body) as Omit<Feeding, 'id' | 'at'>),
  id: row.id,
  at: row.at,
});

/** So many are shown of a starter: half a year of daily feedings. */
const mostShown = 200;

/** Feedings of every starter, the latest first. */
export async function listFeedings(db: Database): Promise<Record<string, Feeding[]>> {
  const rows = await db
    .selectFrom('feeding')
    .selectAll()
    .orderBy('at', 'desc')
    .orderBy('id')
    .execute();
  const found: Record<string, Feeding[]> = {};
  for (const row of rows) {
    const list = (found[row.bag_id] ??= []);
    if (list.length < mostShown) list.push(of(row));
  }
  return found;
}

/** A starter's last feeding is on its bag, for whoever asks how it stands. */
async function dated(tx: Database, bag: string): Promise<void> {
  const last = await tx
    .selectFrom('feeding')
    .select('at')
    .where('bag_id', '=', bag)
    .orderBy('at', 'desc')
    .limit(1)
    .executeTakeFirst();
  const row = await tx.selectFrom('bag').select('facts').where('id', '=', bag).executeTakeFirst();
  if (!row) return;
  const { fedOn, ...facts } = JSON.parse(row.facts) as Record<string, unknown>;
  void fedOn;
  const next = last ? { ...facts, fedOn: dayAt(new Date(last.at)) } : facts;
  await tx
    .updateTable('bag')
    .set({ facts: JSON.stringify(next) })
    .where('id', '=', bag)
    .execute();
}

/**
 * Writes a feeding down, or mends one; the same sent twice is one.
 *
 * @returns false where there is no such starter
 */
export const saveFeeding = (
  db: Database,
  bag: string,
  { id, at, ...body }: Feeding,
): Promise<boolean> =>
  inTransaction(db, async (tx) => {
    const there = await tx
      .selectFrom('bag')
      .select('facts')
      .where('id', '=', bag)
      .executeTakeFirst();
    if (!there || (JSON.parse(there.facts) as { kind?: string }).kind !== 'starter') return false;
    const row = { bag_id: bag, at, body: JSON.stringify(body) };
    await tx
      .insertInto('feeding')
      .values({ id, ...row })
      .onConflict((c) => c.column('id').doUpdateSet(row))
      .execute();
    await dated(tx, bag);
    return true;
  });

export const dropFeeding = (db: Database, bag: string, id: string): Promise<void> =>
  inTransaction(db, async (tx) => {
    await tx.deleteFrom('feeding').where('id', '=', id).where('bag_id', '=', bag).execute();
    await dated(tx, bag);
  });
