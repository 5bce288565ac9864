import type { Kysely, Migration } from 'kysely';

/** Bags with what their labels say, and the household's own ingredients. */
export const pantry: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema
      .alterTable('bag')
      .addColumn('facts', 'text', (c) => c.notNull().defaultTo('{}'))
      .execute();
    await db.schema
      .createTable('own_ingredient')
      .addColumn('id', 'text', (c) => c.primaryKey().notNull())
      .addColumn('label', 'text', (c) => c.notNull())
      .execute();
  },
};
