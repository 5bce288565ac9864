import type { Kysely, Migration } from 'kysely';

/** What is planned to be baked, timers, and what starters were fed. */
export const planOfBakes: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema
      .createTable('planned_bake')
      .addColumn('id', 'text', (c) => c.primaryKey())
      .addColumn('formula_id', 'text', (c) =>
        c.notNull().references('formula.id').onDelete('cascade'),
      )
      .addColumn('bake_id', 'text', (c) => c.references('bake.id').onDelete('set null'))
      .addColumn('version', 'integer', (c) => c.notNull())
      .addColumn('body', 'text', (c) => c.notNull())
      .addColumn('made_at', 'text', (c) => c.notNull())
      .execute();
    await db.schema
      .createTable('timer')
      .addColumn('id', 'text', (c) => c.primaryKey())
      .addColumn('name', 'text', (c) => c.notNull())
      .addColumn('due_at', 'text', (c) => c.notNull())
      .addColumn('made_at', 'text', (c) => c.notNull())
      .execute();
    await db.schema
      .createTable('feeding')
      .addColumn('id', 'text', (c) => c.primaryKey())
      .addColumn('bag_id', 'text', (c) => c.notNull().references('bag.id').onDelete('cascade'))
      .addColumn('at', 'text', (c) => c.notNull())
      .addColumn('body', 'text', (c) => c.notNull())
      .execute();
    await db.schema.createIndex('feeding_bag').on('feeding').columns(['bag_id', 'at']).execute();
  },
};
