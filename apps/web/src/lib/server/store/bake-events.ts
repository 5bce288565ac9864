import { onHouseClock, type BakeEvent } from '@tender-crumb/core/bake';
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

type EventTuple = [id: string, at: string, clock: number | null, kind: string, data: unknown];

/** Events of some bakes at the time of the house, each in the order in which they arrived. */
export const eventsOf = async (
  db: Database,
  ids: readonly string[],
): Promise<Map<string, BakeEvent[]>> => {
  // One parameter, however many bakes they are; and one text a bake, for rows cost more to hand over than to find.
  const { rows } = await sql<{ bake_id: string; events: string }>`
    select bake_id, json_group_array(json_array(id, at, clock, kind, json(data))) as events
    from (
      select * from bake_event
      where bake_id in (select value from json_each(${JSON.stringify(ids)}))
      order by bake_id, seq
    ) group by bake_id`.execute(db);
  return new Map(
    rows.map(({ bake_id, events }) => [
      bake_id,
      (JSON.parse(events) as EventTuple[]).map(([id, at, clock, kind, data]) =>
        onHouseClock({ id, at, ...(clock === null ? {} : { clock }), kind, data } as BakeEvent),
      ),
    ]),
  );
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
