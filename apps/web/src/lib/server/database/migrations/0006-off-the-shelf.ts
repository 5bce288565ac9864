import type { Kysely, Migration } from 'kysely';

/** A formula may be taken off the shelf: it stays, with its versions and bakes, and can be put back. */
export const offTheShelf: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema.alterTable('formula').addColumn('off_shelf_at', 'text').execute();
  },
};
