import { sql, type Kysely, type Migration } from 'kysely';

/**
 * A bread may be baked that has no formula here: then the bake has its name. SQLite cannot take a
 * column's *not null* away, so the table is made anew, and with it the one that points to it.
 */
export const bakeWithoutFormula: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema
      .createTable('bake_new')
      .addColumn('id', 'text', (c) => c.primaryKey().notNull())
      .addColumn('formula_id', 'text')
      .addColumn('formula_version', 'integer')
      .addColumn('method', 'text', (c) => c.notNull())
      .addColumn('started_at', 'text', (c) => c.notNull())
      .addColumn('finished_at', 'text')
      .addColumn('felt', 'real')
      .addColumn('outcome', 'text')
      .addColumn('lesson', 'text')
      .addColumn('given_up_at', 'text')
      .addColumn('day', 'text', (c) => c.notNull().defaultTo(''))
      .addColumn('kitchen_id', 'text', (c) => c.references('kitchen.id'))
      .addColumn('forecast', 'text')
      .addColumn('assumed', 'integer', (c) => c.notNull().defaultTo(0))
      .addColumn('name', 'text')
      .addForeignKeyConstraint(
        'bake_of_version',
        ['formula_id', 'formula_version'],
        'formula_version',
        ['formula_id', 'version'],
      )
      .addCheckConstraint('bake_of_something', sql`(formula_id is null) = (name is not null)`)
      .execute();
    await sql`insert into bake_new (id, formula_id, formula_version, method, started_at, finished_at,
        felt, outcome, lesson, given_up_at, day, kitchen_id, forecast, assumed)
      select id, formula_id, formula_version, method, started_at, finished_at,
        felt, outcome, lesson, given_up_at, day, kitchen_id, forecast, assumed
      from bake order by rowid`.execute(db);
    await db.schema
      .createTable('bake_event_new')
      .addColumn('seq', 'integer', (c) => c.primaryKey().autoIncrement())
      .addColumn('id', 'text', (c) => c.notNull())
      .addColumn('bake_id', 'text', (c) => c.notNull().references('bake_new.id'))
      .addColumn('at', 'text', (c) => c.notNull())
      .addColumn('kind', 'text', (c) => c.notNull())
      .addColumn('data', 'text', (c) => c.notNull())
      .addUniqueConstraint('bake_event_once', ['bake_id', 'id'])
      .execute();
    await sql`insert into bake_event_new (seq, id, bake_id, at, kind, data)
      select seq, id, bake_id, at, kind, data from bake_event order by seq`.execute(db);
    await db.schema.dropTable('bake_event').execute();
    await db.schema.dropTable('bake').execute();
    await db.schema.alterTable('bake_new').renameTo('bake').execute();
    await db.schema.alterTable('bake_event_new').renameTo('bake_event').execute();
    await db.schema.createIndex('bake_by_start').on('bake').columns(['started_at', 'id']).execute();
    await db.schema
      .createIndex('bake_by_formula')
      .on('bake')
      .columns(['formula_id', 'started_at'])
      .execute();
    await db.schema
      .createIndex('bake_event_by_bake')
      .on('bake_event')
      .columns(['bake_id', 'seq'])
      .execute();
  },
};
