import { sql, type Kysely, type Migration } from 'kysely';
import { createHash } from 'node:crypto';

interface Then {
  kitchen: { id: string; body: string };
  bake: { kitchen_id: string | null };
}

interface ApplianceThen {
  readonly id: string;
  readonly kind: string;
  readonly offset?: number;
}

/**
 * A kitchen as it was keeps what its ovens were known to be hotter than they say: an offset that is told later is not counted
 * in the minutes that were learned before. Of bakes from before nobody wrote it down: it was as it is told now.
 */
export const ovensThen: Migration = {
  async up(given: Kysely<unknown>) {
    const db = given as Kysely<Then>;
    const { rows } = await sql<{ value: string }>`
      select value from setting where key = 'household'`.execute(db);
    const { appliances = [] } = JSON.parse(rows[0]?.value ?? '{}') as {
      appliances?: readonly ApplianceThen[];
    };
    const ovens = Object.fromEntries(
      appliances
        .flatMap(({ id, kind, offset }) =>
          kind === 'oven' && offset !== undefined ? [[id, offset] as const] : [],
        )
        .sort(([a], [b]) => (a < b ? -1 : 1)),
    );
    for (const { id, body } of await db.selectFrom('kitchen').selectAll().execute()) {
      const now = JSON.stringify({ ...(JSON.parse(body) as object), ovens });
      const next = createHash('sha256').update(now).digest('hex').slice(0, 32);
      await db
        .insertInto('kitchen')
        .values({ id: next, body: now })
        .onConflict((c) => c.column('id').doNothing())
        .execute();
      await db.updateTable('bake').set({ kitchen_id: next }).where('kitchen_id', '=', id).execute();
      await db.deleteFrom('kitchen').where('id', '=', id).execute();
    }
  },
};
