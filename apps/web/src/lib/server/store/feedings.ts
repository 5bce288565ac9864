import { bakeState, jarFeedingId, jarFeedings, type BakeEvent } from '@tender-crumb/core/bake';
import type { Feeding } from '@tender-crumb/core/starter';
import { sql } from 'kysely';
import { inTransaction, type Database } from '../database/open.ts';
import { dayAt } from '../day.ts';

const of = (row: { id: string; at: string; body: string }): Feeding => ({
  ...(JSON.parse(row.body) as Omit<Feeding, 'id' | 'at'>),
  id: row.id,
  at: row.at,
});

/** So many are shown of a starter: half a year of daily feedings. */
const mostShown = 200;

/** Of feedings that a bake wrote down, those whose bake is there: of one that was taken out nobody can take it back there. */
async function bakesThere(db: Database): Promise<ReadonlySet<string>> {
  const rows = await db
    .selectFrom('bake')
    .select('id')
    .where('id', 'in', (e) =>
      e.selectFrom('feeding').select(sql<string>`json_extract(body, '$.bake')`.as('bake')),
    )
    .execute();
  return new Set(rows.map((r) => r.id));
}

/** Feedings of every starter, the latest first. */
export async function listFeedings(db: Database): Promise<Record<string, Feeding[]>> {
  const rows = await db
    .selectFrom('feeding')
    .selectAll()
    .orderBy('at', 'desc')
    .orderBy('id')
    .execute();
  const bakes = await bakesThere(db);
  const found: Record<string, Feeding[]> = {};
  for (const row of rows) {
    const list = (found[row.bag_id] ??= []);
    const { bake, ...feeding } = of(row);
    if (list.length < mostShown)
      list.push(bake !== undefined && bakes.has(bake) ? { ...feeding, bake } : feeding);
  }
  return found;
}

/** A starter's last feeding is on its bag, for whoever asks how it stands. */
async function dated(tx: Database, bag: string): Promise<void> {
  const last = await tx
    .selectFrom('feeding')
    .select('at')
    .where('bag_id', '=', bag)
    .orderBy('at', 'desc')
    .limit(1)
    .executeTakeFirst();
  const row = await tx.selectFrom('bag').select('facts').where('id', '=', bag).executeTakeFirst();
  if (!row) return;
  const { fedOn, ...facts } = JSON.parse(row.facts) as Record<string, unknown>;
  void fedOn;
  const next = last ? { ...facts, fedOn: dayAt(new Date(last.at)) } : facts;
  await tx
    .updateTable('bag')
    .set({ facts: JSON.stringify(next) })
    .where('id', '=', bag)
    .execute();
}

const isStarter = async (tx: Database, bag: string): Promise<boolean> => {
  const row = await tx.selectFrom('bag').select('facts').where('id', '=', bag).executeTakeFirst();
  return !!row && (JSON.parse(row.facts) as { kind?: string }).kind === 'starter';
};

async function put(tx: Database, bag: string, { id, at, ...body }: Feeding): Promise<void> {
  const row = { bag_id: bag, at, body: JSON.stringify(body) };
  await tx
    .insertInto('feeding')
    .values({ id, ...row })
    .onConflict((c) => c.column('id').doUpdateSet(row))
    .execute();
  await dated(tx, bag);
}

const feedingIn = async (tx: Database, bag: string, id: string): Promise<Feeding | undefined> => {
  const row = await tx
    .selectFrom('feeding')
    .selectAll()
    .where('id', '=', id)
    .where('bag_id', '=', bag)
    .executeTakeFirst();
  return row && of(row);
};

/**
 * Writes a feeding down, or mends one; the same sent twice is one.
 *
 * @returns false where there is no such starter
 */
export const saveFeeding = (db: Database, bag: string, feeding: Feeding): Promise<boolean> =>
  inTransaction(db, async (tx) => {
    if (!(await isStarter(tx, bag))) return false;
    await put(tx, bag, feeding);
    return true;
  });

/**
 * Writes down when a starter stood highest after a feeding. Whoever saw it first is right: it cannot stand highest
 * twice.
 *
 * @returns the feeding as it then is; undefined where there is none
 */
export const savePeak = (
  db: Database,
  bag: string,
  id: string,
  at: string,
): Promise<Feeding | undefined> =>
  inTransaction(db, async (tx) => {
    const feeding = await feedingIn(tx, bag, id);
    if (!feeding) return undefined;
    const { peakAt } = feeding;
    const isFirst = peakAt === undefined || Date.parse(at) < Date.parse(peakAt);
    const seen = { ...feeding, peakAt: isFirst ? at : peakAt };
    await put(tx, bag, seen);
    return seen;
  });

/** What a bake's events say that the jars of the house were fed; taken back there, it is gone here. */
export async function keepFeedings(
  tx: Database,
  bake: string,
  events: readonly BakeEvent[],
): Promise<void> {
  const said = jarFeedings(bake, bakeState(events));
  const seenThere = new Set(events.filter((e) => e.kind === 'peaked').map((e) => e.at));
  for (const { jar, feeding } of said) {
    if (!(await isStarter(tx, jar))) continue;
    const { peakAt, ...before } = (await feedingIn(tx, jar, feeding.id)) ?? {};
    // What was seen at the jar stays; what the bake said, it may have taken back.
    const atJar = peakAt !== undefined && !seenThere.has(peakAt) ? { peakAt } : {};
    await put(tx, jar, { ...before, ...atJar, ...feeding });
  }
  const stands = new Set(said.map((f) => f.feeding.id));
  const gone = events
    .filter((e) => e.kind === 'fed')
    .map((e) => jarFeedingId(bake, e.id))
    .filter((id) => !stands.has(id));
  if (gone.length === 0) return;
  const rows = await tx.deleteFrom('feeding').where('id', 'in', gone).returning('bag_id').execute();
  for (const bag of new Set(rows.map((r) => r.bag_id))) await dated(tx, bag);
}

/**
 * Takes a feeding out; one that a bake wrote down stands as long as the bake does.
 *
 * @returns that bake, where it stands
 */
export const dropFeeding = (db: Database, bag: string, id: string): Promise<string | undefined> =>
  inTransaction(db, async (tx) => {
    const { bake } = (await feedingIn(tx, bag, id)) ?? {};
    const there =
      bake !== undefined &&
      (await tx.selectFrom('bake').select('id').where('id', '=', bake).executeTakeFirst());
    if (there) return bake;
    await tx.deleteFrom('feeding').where('id', '=', id).where('bag_id', '=', bag).execute();
    await dated(tx, bag);
    return undefined;
  });
