import { forBread, nextTime, type Lesson, type NextTime } from '@tender-crumb/core/learn';
import type { Database } from './database/open.ts';
import type { StoredBake } from './store/bake-rows.ts';
import { readVersions } from './store/formulas.ts';
import { knownBelief } from './store/known-belief.ts';
import { readHousehold } from './store/household.ts';

/** A bake's lesson with what the same formula would do next time, by all that is known now. */
export async function withNext<B extends StoredBake>(
  db: Database,
  bakes: readonly B[],
): Promise<Array<Omit<B, 'lesson'> & { lesson?: Lesson & { next?: NextTime } }>> {
  const [household, { belief }] = await Promise.all([readHousehold(db), knownBelief(db)]);
  const baked = await readVersions(
    db,
    bakes.filter((b) => b.lesson),
  );
  const known = new Map(
    Object.entries(baked).map(([key, formula]) => [
      key,
      nextTime(formula, household, forBread(belief, key.split(' ')[0])),
    ]),
  );
  return bakes.map((bake) => {
    const next = known.get(`${bake.formulaId} ${bake.formulaVersion}`);
    return bake.lesson && next ? { ...bake, lesson: { ...bake.lesson, next } } : bake;
  });
}
