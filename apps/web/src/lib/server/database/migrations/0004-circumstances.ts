import { createHash } from 'node:crypto';
import { sql, type Kysely, type Migration } from 'kysely';

interface Then {
  setting: { key: string; value: string };
  bag: { id: string; opened_on: string | null; facts: string };
  kitchen: { id: string; body: string };
  bake: { day: string; kitchen_id: string; forecast: string | null; assumed: number };
}

/** What a household had that had settled nothing. */
const usual = {
  room: {},
  measures: { cup: 'us', tablespoon: 'us', fill: 'spooned', egg: 'us-large' },
  scaleStep: 1,
};

/** The kitchen as the first versions took it for every bake: the household's of the last day. */
async function kitchenOfThen(db: Kysely<Then>): Promise<string> {
  const setting = await db
    .selectFrom('setting')
    .select('value')
    .where('key', '=', 'household')
    .executeTakeFirst();
  const settled = setting ? (JSON.parse(setting.value) as Partial<typeof usual>) : {};
  const { room, measures, scaleStep } = { ...usual, ...settled };
  const bags = await db.selectFrom('bag').selectAll().orderBy('id').execute();
  return JSON.stringify({
    room,
    measures,
    scaleStep,
    bags: Object.fromEntries(
      bags.map(({ id, opened_on, facts }) => {
        const { moisture } = JSON.parse(facts) as { moisture?: number };
        return [
          id,
          {
            ...(opened_on ? { openedOn: opened_on } : {}),
            ...(moisture === undefined ? {} : { moisture }),
          },
        ];
      }),
    ),
  });
}

/**
 * A bake keeps its circumstances: its day, its kitchen (each distinct one stored once), its forecast as
 * shown. Those of old bakes are assumed. The book says by which version of the model it was learned.
 */
export const circumstances: Migration = {
  async up(given: Kysely<unknown>) {
    await given.schema
      .createTable('kitchen')
      .addColumn('id', 'text', (c) => c.primaryKey().notNull())
      .addColumn('body', 'text', (c) => c.notNull())
      .execute();
    await given.schema
      .alterTable('bake')
      .addColumn('day', 'text', (c) => c.notNull().defaultTo(''))
      .execute();
    await given.schema
      .alterTable('bake')
      .addColumn('kitchen_id', 'text', (c) => c.references('kitchen.id'))
      .execute();
    await given.schema.alterTable('bake').addColumn('forecast', 'text').execute();
    await given.schema
      .alterTable('bake')
      .addColumn('assumed', 'integer', (c) => c.notNull().defaultTo(0))
      .execute();
    await given.schema
      .alterTable('learning')
      .addColumn('model', 'integer', (c) => c.notNull().defaultTo(0))
      .execute();

    const db = given as Kysely<Then>;
    const baked = await sql<{ n: number }>`select count(*) as n from bake`.execute(given);
    if (baked.rows[0]!.n === 0) return;
    const body = await kitchenOfThen(db);
    const id = createHash('sha256').update(body).digest('hex').slice(0, 32);
    await db.insertInto('kitchen').values({ id, body }).execute();
    await sql`update bake set assumed = 1, kitchen_id = ${id}, day = substr(started_at, 1, 10),
      forecast = json_extract(lesson, '$.forecast')`.execute(given);
  },
};
