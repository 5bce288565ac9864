import { allLines } from '@tender-crumb/core/formula';
import type { Database } from '../database/open.ts';
import { formulaOf } from './formula-body.ts';

/** Ingredients that the formulas on the shelf are made of, the most often used first. */
export async function usedIngredients(db: Database): Promise<string[]> {
  const rows = await db
    .selectFrom('formula as f')
    .innerJoin('formula_version as v', (j) =>
      j.onRef('v.formula_id', '=', 'f.id').onRef('v.version', '=', 'f.version'),
    )
    .select('v.body')
    .where('f.off_shelf_at', 'is', null)
    .limit(500)
    .execute();
  const counts = new Map<string, number>();
  for (const { body } of rows)
    for (const id of new Set(allLines(formulaOf(body)).map((l) => l.ingredient)))
      counts.set(id, (counts.get(id) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([id]) => id);
}
