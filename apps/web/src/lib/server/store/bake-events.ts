import { onHouseClock, type BakeEvent } from '@tender-crumb/core';
import { sql } from 'kysely';
import type { Database } from '../database/open.ts';
import type { BakeWithEvents, StoredBake } from './bake-rows.ts';

/** An event as a row of its bake. */
export const eventRow = (bakeId: string, { id, at, clock, kind, data }: BakeEvent) => ({
  id,
  bake_id: bakeId,
  at,
  kind,
  data: JSON.stringify(data),
  clock: clock ?? null,
});

/** Events of some bakes at the time of the house, each in the order in which they arrived. */
export const eventsOf = async (
  db: Database,
  ids: readonly string[],
): Promise<Map<string, BakeEvent[]>> => {
  const rows = await db
    .selectFrom('bake_event')
    .select(['id', 'bake_id', 'at', 'clock', 'kind', 'data'])
    // One parameter, however many bakes they are.
    .where(sql<boolean>`bake_id in (select value from json_each(${JSON.stringify(ids)}))`)
    .orderBy('seq')
    .execute();
  const events = new Map<string, BakeEvent[]>();
  for (const { bake_id, data, clock, ...rest } of rows) {
    const event = onHouseClock({
      ...rest,
      ...(clock === null ? {} : { clock }),
      data: JSON.parse(data) as unknown,
    } as BakeEvent);
    const list = events.get(bake_id);
    if (list) list.push(event);
    else events.set(bake_id, [event]);
  }
  return events;
};

/** Bakes with their events. */
export async function withEvents(
  db: Database,
  bakes: readonly StoredBake[],
): Promise<BakeWithEvents[]> {
  const events =
    bakes.length > 0
      ? await eventsOf(
          db,
          bakes.map((b) => b.id),
        )
      : new Map();
  return bakes.map((b) => ({ ...b, events: events.get(b.id) ?? [] }));
}
