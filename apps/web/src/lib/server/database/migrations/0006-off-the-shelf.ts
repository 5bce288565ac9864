import type { Kysely, Migration } from 'kysely';

/**
 * A formula may be taken off the shelf: it stays, with its versions and bakes, and can be put back. It is
 * found by more than its name; what older ones are found by is written down at the next start.
 */
export const offTheShelf: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema.alterTable('formula').addColumn('off_shelf_at', 'text').execute();
    await db.schema
      .alterTable('formula')
      .addColumn('words', 'text', (c) => c.notNull().defaultTo(''))
      .execute();
  },
};
