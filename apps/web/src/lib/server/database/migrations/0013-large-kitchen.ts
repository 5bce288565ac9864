import { sql, type Kysely, type Migration } from 'kysely';

/** What pages ask of all the bakes is answered without reading them: a row holds the whole lesson, and is slow to read. */
export const largeKitchen: Migration = {
  async up(db: Kysely<unknown>) {
    // Each is written as its query in `store/` asks for it: otherwise it is not found here.
    await sql`create index bake_open on bake (started_at, id)
      where finished_at is null and given_up_at is null`.execute(db);
    await sql`create index bake_finished on bake (formula_id) where finished_at is not null`.execute(
      db,
    );
  },
};
