import type { Formula } from '@tender-crumb/core/formula';
import type { Lesson } from '@tender-crumb/core/learn';
import type { KeptBake } from '@tender-crumb/core/book';
import type { Database } from '../database/open.ts';
import { withEvents } from './bake-events.ts';
import { selectBakes, stored } from './bake-rows.ts';
import { formulaOf } from './formula-body.ts';
import { readKitchens } from './kitchens.ts';

/** Writes down what a bake taught. */
export const saveLesson = (tx: Database, id: string, lesson: Lesson | undefined) =>
  tx
    .updateTable('bake')
    .set({
      lesson: lesson ? JSON.stringify(lesson) : null,
      ...(lesson ? { felt: lesson.felt ?? null } : {}),
    })
    .where('id', '=', id)
    .execute();

/** Every finished bake of a formula, with it as baked and what it taught, in the order in which they were finished. */
export async function wholeBook(db: Database): Promise<KeptBake[]> {
  const rows = await selectBakes(db)
    .where('b.finished_at', 'is not', null)
    .where('b.formula_id', 'is not', null)
    .orderBy('b.finished_at')
    .orderBy('b.id')
    .execute();
  const versions = await db
    .selectFrom('formula_version')
    .select(['formula_id', 'version', 'body'])
    .execute();
  const bodies = new Map(versions.map((v) => [`${v.formula_id} ${v.version}`, v.body]));
  const parsed = new Map<string, Formula>();
  const bakedAt = (key: string): Formula => {
    const known = parsed.get(key) ?? formulaOf(bodies.get(key)!);
    parsed.set(key, known);
    return known;
  };
  const kitchens = await readKitchens(db);
  const bakes = rows.map((row) => stored(row, kitchens.get(row.kitchen_id!)));
  return (await withEvents(db, bakes)).map(({ id, method, events, circumstances, ...bake }) => ({
    id,
    method,
    events,
    circumstances,
    ...(bake.formulaId === undefined ? {} : { bread: bake.formulaId }),
    ...(bake.forecast ? { forecast: bake.forecast } : {}),
    ...(bake.lesson ? { lesson: bake.lesson } : {}),
    formula: bakedAt(`${bake.formulaId} ${bake.formulaVersion}`),
  }));
}
