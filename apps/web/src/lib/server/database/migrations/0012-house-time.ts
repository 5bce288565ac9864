import type { Kysely, Migration } from 'kysely';

/**
 * By how much a device's clock was behind the house's when something was tapped on it; and what of a bake's circumstances
 * the server would have said otherwise, where a device said them that had not heard of it.
 */
export const houseTime: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema.alterTable('bake_event').addColumn('clock', 'integer').execute();
    await db.schema.alterTable('bake').addColumn('otherwise', 'text').execute();
  },
};
