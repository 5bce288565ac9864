import { sql, type Kysely, type Migration } from 'kysely';

/**
 * A kitchen that several devices share: who saved what, devices that were let in, events whose ids
 * are their bake's own, bakes that were given up, and how far the book has been learned.
 */
export const house: Migration = {
  async up(db: Kysely<unknown>) {
    for (const table of ['formula_version', 'formula_aside']) {
      await db.schema.alterTable(table).addColumn('device', 'text').execute();
      await db.schema.alterTable(table).addColumn('draft', 'text').execute();
    }
    // The same refused save that came five times was kept five times: once is enough.
    await sql`delete from formula_aside where rowid not in (
      select min(rowid) from formula_aside group by formula_id, body)`.execute(db);
    await db.schema
      .createIndex('formula_aside_by_formula')
      .on('formula_aside')
      .columns(['formula_id', 'kept_at'])
      .execute();

    await db.schema.alterTable('bake').addColumn('given_up_at', 'text').execute();

    await db.schema
      .createTable('bake_event_new')
      .addColumn('seq', 'integer', (c) => c.primaryKey().autoIncrement())
      .addColumn('id', 'text', (c) => c.notNull())
      .addColumn('bake_id', 'text', (c) => c.notNull().references('bake.id'))
      .addColumn('at', 'text', (c) => c.notNull())
      .addColumn('kind', 'text', (c) => c.notNull())
      .addColumn('data', 'text', (c) => c.notNull())
      .addUniqueConstraint('bake_event_once', ['bake_id', 'id'])
      .execute();
    await sql`insert into bake_event_new (seq, id, bake_id, at, kind, data)
      select seq, id, bake_id, at, kind, data from bake_event order by seq`.execute(db);
    await db.schema.dropTable('bake_event').execute();
    await db.schema.alterTable('bake_event_new').renameTo('bake_event').execute();
    await db.schema
      .createIndex('bake_event_by_bake')
      .on('bake_event')
      .columns(['bake_id', 'seq'])
      .execute();

    await db.schema
      .createTable('device')
      .addColumn('id', 'text', (c) => c.primaryKey().notNull())
      .addColumn('name', 'text', (c) => c.notNull())
      .addColumn('paired_at', 'text', (c) => c.notNull())
      .addColumn('seen_at', 'text', (c) => c.notNull())
      .execute();

    await db.schema
      .createTable('learning')
      .addColumn('id', 'integer', (c) => c.primaryKey())
      .addColumn('wanted', 'integer', (c) => c.notNull())
      .addColumn('done', 'integer', (c) => c.notNull())
      .execute();
    // A finish that was taken back left its lesson standing: the book is learned again without it.
    await sql`insert into learning (id, wanted, done)
      select 1, count(*) > 0, 0 from bake where finished_at is null and lesson is not null`.execute(
      db,
    );
    await sql`update bake set lesson = null where finished_at is null`.execute(db);
  },
};
