import type { Kysely, Migration } from 'kysely';

/**
 * What is believed of each bread stands by itself, so that one bake of a thousand breads writes one. A belief that was
 * kept whole stays so until the next bake teaches.
 */
export const beliefBlocks: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema
      .createTable('belief_bread')
      .addColumn('key', 'text', (c) => c.primaryKey())
      .addColumn('revision', 'integer', (c) => c.notNull())
      .addColumn('body', 'text', (c) => c.notNull())
      .execute();
    await db.schema
      .createIndex('belief_bread_revision')
      .on('belief_bread')
      .column('revision')
      .execute();
  },
};
