import type { Kysely, Migration } from 'kysely';

/**
 * What each finished bake took out of each bag. Nothing is worked out for bakes of before: what a bag has
 * left is counted from a day on which somebody said what was in it, and nobody had.
 */
export const bagUse: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema
      .createTable('bag_use')
      .addColumn('bake_id', 'text', (c) => c.notNull().references('bake.id').onDelete('cascade'))
      .addColumn('bag_id', 'text', (c) => c.notNull())
      .addColumn('grams', 'real', (c) => c.notNull())
      .addColumn('at', 'text', (c) => c.notNull())
      .addPrimaryKeyConstraint('bag_use_key', ['bake_id', 'bag_id'])
      .execute();
    await db.schema.createIndex('bag_use_bag').on('bag_use').columns(['bag_id', 'at']).execute();
  },
};
