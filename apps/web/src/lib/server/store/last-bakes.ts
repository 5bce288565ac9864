import { bakeState, judgements } from '@tender-crumb/core/bake';
import { sql } from 'kysely';
import type { Database } from '../database/open.ts';
import { eventsOf } from './bake-events.ts';

/** When a bread was baked last, how it came out, and what was noted for the next time. */
export interface LastBake {
  /** ISO date. */
  readonly day: string;
  /** How it came out, in a word. */
  readonly result?: string;
  readonly note?: string;
}

/** The last finished bake of each of some formulas; none where it was never baked. */
export async function lastBakes(
  db: Database,
  formulas: readonly string[],
): Promise<Map<string, LastBake>> {
  if (formulas.length === 0) return new Map();
  // Beside a greatest value SQLite gives the row in which it stands.
  const rows = await db
    .selectFrom('bake')
    .select([
      'id',
      'formula_id',
      'day',
      sql<number | null>`json_extract(outcome, '$.stars')`.as('stars'),
      (e) => e.fn.max('started_at').as('started_at'),
    ])
    .where('formula_id', 'in', formulas)
    .where('finished_at', 'is not', null)
    .groupBy('formula_id')
    .execute();
  const noted = await db
    .selectFrom('bake_event')
    .select('bake_id')
    .distinct()
    .where('kind', '=', 'note')
    .where(
      'bake_id',
      'in',
      rows.map((r) => r.id),
    )
    .execute();
  const events = await eventsOf(
    db,
    noted.map((n) => n.bake_id),
  );
  return new Map(
    rows.map((row) => {
      const { notes } = bakeState(events.get(row.id) ?? []);
      const note = Object.values(notes).join(' · ');
      return [
        row.formula_id!,
        {
          day: row.day,
          ...(row.stars === null ? {} : { result: judgements[row.stars - 1]! }),
          ...(note === '' ? {} : { note }),
        },
      ];
    }),
  );
}
