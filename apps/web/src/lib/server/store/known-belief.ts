import type { Belief } from '@tender-crumb/core/belief';
import { withJars } from '@tender-crumb/core/learn';
import type { Feeding } from '@tender-crumb/core/starter';
import { sql } from 'kysely';
import type { Database } from '../database/open.ts';
import { readBelief } from './belief.ts';
import { readHousehold } from './household.ts';

/** So many of what was seen of the jars are looked at: the core takes the latest of each. */
const mostSeen = 200;

/** What somebody saw of the jars beside the bakes, by starter, the latest first. */
async function seenOfJars(db: Database): Promise<Record<string, Feeding[]>> {
  const rows = await db
    .selectFrom('feeding')
    .selectAll()
    .where(
      sql<boolean>`json_extract(body, '$.bake') is null and coalesce(json_extract(body, '$.peakAt'), json_extract(body, '$.risingAt')) is not null`,
    )
    .orderBy('at', 'desc')
    .orderBy('id')
    .limit(mostSeen)
    .execute();
  const found: Record<string, Feeding[]> = {};
  for (const { id, bag_id: bag, at, body } of rows)
    (found[bag] ??= []).push({ ...(JSON.parse(body) as Omit<Feeding, 'id' | 'at'>), id, at });
  return found;
}

/** Every page asks for it: it is worked out again where something else was seen or learned. */
const kept = new WeakMap<Database, { readonly key: string; readonly belief: Belief }>();

/**
 * What is believed of everything, with what was seen of the jars themselves: what plans, benches and bakes go by. The
 * book alone is learned from {@link readBelief}.
 */
export async function knownBelief(db: Database): Promise<{ belief: Belief; revision: number }> {
  const [{ belief, revision }, household, seen] = await Promise.all([
    readBelief(db),
    readHousehold(db),
    seenOfJars(db),
  ]);
  if (Object.keys(seen).length === 0) return { belief, revision };
  const { bags, room, figures } = household;
  const jars = bags.filter((b) => b.kind === 'starter');
  const key = JSON.stringify([revision, seen, jars, room, figures]);
  const known = kept.get(db);
  if (known?.key === key) return { belief: known.belief, revision };
  const fresh = withJars(belief, household, seen);
  kept.set(db, { key, belief: fresh });
  return { belief: fresh, revision };
}
