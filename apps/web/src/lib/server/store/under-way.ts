import type { Database } from '../database/open.ts';
import { withEvents } from './bake-events.ts';
import { listBakes } from './bakes.ts';

/** A bake that nobody has touched for so long is forgotten, and stands on no line of time, ms. */
const forgotten = 4 * 24 * 60 * 60 * 1000;

/** So many open bakes are looked through: what was begun longer ago and left open is no bake of today. */
const mostOpen = 30;

/**
 * Bakes that are being made now, with what was noted of them: those of which something was done first, the last touched
 * before the others. One that was begun and left with nothing weighed pushes no dough that rises out of a plan.
 *
 * @param own a bake that is looked at: it comes before all others
 */
export async function underWay(db: Database, now: Date, own?: string) {
  const { rows } = await listBakes(db, { open: true, limit: mostOpen });
  const since = new Date(now.getTime() - forgotten).toISOString();
  const bakes = await withEvents(
    db,
    rows.filter((b) => b.formulaId !== undefined),
  );
  return bakes
    .map((bake) => {
      const touched = bake.events.reduce((at, e) => (e.at > at ? e.at : at), bake.startedAt);
      return { bake, touched, rank: bake.id === own ? 0 : bake.events.length > 0 ? 1 : 2 };
    })
    .filter(({ touched }) => touched > since)
    .sort((a, b) => a.rank - b.rank || b.touched.localeCompare(a.touched))
    .map(({ bake }) => bake);
}
