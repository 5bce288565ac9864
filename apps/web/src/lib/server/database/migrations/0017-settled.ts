import { sql, type Kysely, type Migration } from 'kysely';

/**
 * A kitchen that baked before it could be asked about its scale, its degrees or its cup is not asked now: that it settled
 * nothing is written down, and read as that the usual is right. An empty one is asked.
 */
export const settled: Migration = {
  async up(db: Kysely<unknown>) {
    await sql`
      insert into setting (key, value)
      select 'household', '{}'
      where (exists (select 1 from formula) or exists (select 1 from bake))
        and not exists (select 1 from setting where key = 'household')`.execute(db);
  },
};
