import type { Kysely, Migration } from 'kysely';

/** Photos of bakes. */
export const photos: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema
      .createTable('photo')
      .addColumn('id', 'text', (c) => c.primaryKey())
      .addColumn('bake_id', 'text', (c) => c.notNull().references('bake.id').onDelete('cascade'))
      .addColumn('step', 'text', (c) => c.notNull())
      .addColumn('at', 'text', (c) => c.notNull())
      .addColumn('width', 'integer', (c) => c.notNull())
      .addColumn('height', 'integer', (c) => c.notNull())
      .addColumn('bytes', 'integer', (c) => c.notNull())
      .addColumn('digest', 'text', (c) => c.notNull())
      .execute();
    await db.schema.createIndex('photo_bake').on('photo').column('bake_id').execute();
  },
};
