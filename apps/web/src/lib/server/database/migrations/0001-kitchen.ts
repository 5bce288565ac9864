import type { Kysely, Migration } from 'kysely';

/** The first kitchen: formulas with their versions, bakes with their events, bags, belief, settings. */
export const kitchen: Migration = {
  async up(db: Kysely<unknown>) {
    await db.schema
      .createTable('formula')
      .addColumn('id', 'text', (c) => c.primaryKey().notNull())
      .addColumn('name', 'text', (c) => c.notNull())
      .addColumn('style', 'text', (c) => c.notNull())
      .addColumn('version', 'integer', (c) => c.notNull())
      .addColumn('created_at', 'text', (c) => c.notNull())
      .addColumn('updated_at', 'text', (c) => c.notNull())
      .execute();
    await db.schema
      .createIndex('formula_by_update')
      .on('formula')
      .columns(['updated_at', 'id'])
      .execute();
    await db.schema
      .createTable('formula_version')
      .addColumn('formula_id', 'text', (c) => c.notNull().references('formula.id'))
      .addColumn('version', 'integer', (c) => c.notNull())
      .addColumn('body', 'text', (c) => c.notNull())
      .addColumn('saved_at', 'text', (c) => c.notNull())
      .addPrimaryKeyConstraint('formula_version_key', ['formula_id', 'version'])
      .execute();
    await db.schema
      .createTable('formula_aside')
      .addColumn('id', 'text', (c) => c.primaryKey().notNull())
      .addColumn('formula_id', 'text', (c) => c.notNull().references('formula.id'))
      .addColumn('based_on', 'integer', (c) => c.notNull())
      .addColumn('body', 'text', (c) => c.notNull())
      .addColumn('kept_at', 'text', (c) => c.notNull())
      .execute();
    await db.schema
      .createTable('bake')
      .addColumn('id', 'text', (c) => c.primaryKey().notNull())
      .addColumn('formula_id', 'text', (c) => c.notNull())
      .addColumn('formula_version', 'integer', (c) => c.notNull())
      .addColumn('method', 'text', (c) => c.notNull())
      .addColumn('started_at', 'text', (c) => c.notNull())
      .addColumn('finished_at', 'text')
      .addColumn('felt', 'real')
      .addColumn('outcome', 'text')
      .addColumn('lesson', 'text')
      .addForeignKeyConstraint(
        'bake_of_version',
        ['formula_id', 'formula_version'],
        'formula_version',
        ['formula_id', 'version'],
      )
      .execute();
    await db.schema.createIndex('bake_by_start').on('bake').columns(['started_at', 'id']).execute();
    await db.schema
      .createIndex('bake_by_formula')
      .on('bake')
      .columns(['formula_id', 'started_at'])
      .execute();
    await db.schema
      .createTable('bake_event')
      .addColumn('seq', 'integer', (c) => c.primaryKey().autoIncrement())
      .addColumn('id', 'text', (c) => c.notNull().unique())
      .addColumn('bake_id', 'text', (c) => c.notNull().references('bake.id'))
      .addColumn('at', 'text', (c) => c.notNull())
      .addColumn('kind', 'text', (c) => c.notNull())
      .addColumn('data', 'text', (c) => c.notNull())
      .execute();
    await db.schema
      .createIndex('bake_event_by_bake')
      .on('bake_event')
      .columns(['bake_id', 'seq'])
      .execute();
    await db.schema
      .createTable('bag')
      .addColumn('id', 'text', (c) => c.primaryKey().notNull())
      .addColumn('name', 'text', (c) => c.notNull())
      .addColumn('ingredient', 'text', (c) => c.notNull())
      .addColumn('opened_on', 'text')
      .execute();
    await db.schema
      .createTable('belief')
      .addColumn('id', 'integer', (c) => c.primaryKey())
      .addColumn('revision', 'integer', (c) => c.notNull())
      .addColumn('body', 'text', (c) => c.notNull())
      .execute();
    await db.schema
      .createTable('setting')
      .addColumn('key', 'text', (c) => c.primaryKey().notNull())
      .addColumn('value', 'text', (c) => c.notNull())
      .execute();
  },
};
