import { bakeState, loafAsked } from '@tender-crumb/core/bake';
import type { Database } from '../database/open.ts';
import { eventsOf } from './bake-events.ts';
import { selectBakes, stored } from './bake-rows.ts';

/** A baked loaf of which nobody has said how it came out. */
export interface AskedLoaf {
  readonly id: string;
  readonly name: string;
  /** ISO moment. */
  readonly bakedAt: string;
  readonly finished: boolean;
}

/** So far back bakes are looked at that may have to be asked about, ms: begun days before they were baked. */
const lookBack = 7 * 24 * 3_600_000;

/** Loaves to be asked about, the one baked last first. */
export async function askedLoaves(db: Database, now: string): Promise<AskedLoaf[]> {
  const since = new Date(Date.parse(now) - lookBack).toISOString();
  const rows = await selectBakes(db)
    .where('b.started_at', '>=', since)
    .where('b.given_up_at', 'is', null)
    .execute();
  const events = await eventsOf(
    db,
    rows.map((r) => r.id),
  );
  return rows
    .map((row) => stored(row))
    .flatMap(({ id, formulaName, finishedAt }): AskedLoaf[] => {
      const bakedAt = loafAsked(bakeState(events.get(id) ?? []), now);
      return bakedAt === undefined
        ? []
        : [{ id, name: formulaName, bakedAt, finished: finishedAt !== undefined }];
    })
    .sort((a, b) => (a.bakedAt < b.bakedAt ? 1 : -1));
}
