import type { Kysely, Migration } from 'kysely';

/** The book is found fast, and what was practised is kept. */
export const book: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema
      .createIndex('bake_of_bread')
      .on('bake')
      .columns(['formula_id', 'started_at'])
      .execute();
    await db.schema.createIndex('bake_started').on('bake').columns(['started_at', 'id']).execute();
    await db.schema.createIndex('bake_day').on('bake').column('day').execute();
    await db.schema
      .createTable('practice')
      .addColumn('id', 'text', (c) => c.primaryKey())
      .addColumn('at', 'text', (c) => c.notNull())
      .addColumn('lesson', 'text', (c) => c.notNull())
      .addColumn('seed', 'integer', (c) => c.notNull())
      .addColumn('call', 'text', (c) => c.notNull())
      .execute();
  },
};
