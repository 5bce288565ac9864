import type { DeviceId } from '@tender-crumb/core/machine';
import type { MadeBefore } from '@tender-crumb/core/process';
import type { Database } from '../database/open.ts';

/** A house's habit shows in so many of its last bakes. Own choice, no source. */
const habitOf = 12;

/** In what a bread was made the last time, and in what this house has made its breads lately. */
export async function madeBefore(db: Database, formulaId: string): Promise<MadeBefore> {
  const bakes = db
    .selectFrom('bake')
    .select('method')
    .where('given_up_at', 'is', null)
    .orderBy('started_at', 'desc');
  const [own, lately] = await Promise.all([
    bakes.where('formula_id', '=', formulaId).limit(1).executeTakeFirst(),
    bakes.where('formula_id', 'is not', null).limit(habitOf).execute(),
  ]);
  return {
    ...(own ? { last: own.method as DeviceId } : {}),
    lately: lately.map((b) => b.method as DeviceId),
  };
}
