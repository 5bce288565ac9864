import type { Kysely, Migration } from 'kysely';

/** Photos of recipes: what a formula was read from. */
export const pages: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema
      .createTable('page')
      .addColumn('id', 'text', (c) => c.primaryKey())
      .addColumn('at', 'text', (c) => c.notNull())
      .addColumn('width', 'integer', (c) => c.notNull())
      .addColumn('height', 'integer', (c) => c.notNull())
      .addColumn('bytes', 'integer', (c) => c.notNull())
      .addColumn('digest', 'text', (c) => c.notNull())
      .addColumn('rows', 'text', (c) => c.notNull())
      .execute();
  },
};
