import { sql, type Kysely, type Migration } from 'kysely';

/** The book is found fast, and what was practised is kept. */
export const book: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema
      .createIndex('bake_of_bread')
      .on('bake')
      .columns(['formula_id', 'started_at'])
      .execute();
    // All that the book is searched by, newest first: the row itself holds the whole lesson, and is slow to read.
    // What was said is written as `store/book-list.ts` asks for it: otherwise it is not found here.
    await sql`create index bake_said on bake (started_at, id, day, formula_id, name, replace(
      json_extract(outcome, '$.note', '$.words', '$.crumb', '$.crust', '$.taste'), 'null', ''))`.execute(
      db,
    );
    await db.schema.createIndex('bake_day').on('bake').columns(['day', 'id']).execute();
    // Few events are notes: they are found without looking through the others.
    await sql`create index bake_note on bake_event (bake_id) where kind = 'note'`.execute(db);
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
