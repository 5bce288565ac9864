import { lessonOf } from '@tender-crumb/core/learn';
import type { Database } from '../database/open.ts';

/** What one bake taught of a figure. */
export interface Evidence {
  readonly id: string;
  readonly name: string;
  readonly day: string;
  readonly odd: boolean;
  readonly before: { readonly value: number; readonly sd: number };
  readonly after: { readonly value: number; readonly sd: number };
}

/** So many bakes are shown, the newest. */
const most = 60;

/** The bakes that a learned figure rests on, newest first, each with what it made of it. */
export async function evidenceFor(db: Database, key: string): Promise<Evidence[]> {
  // A key is looked for as it is written in a lesson; what only looks like it is sorted out below.
  const rows = await db
    .selectFrom('bake as b')
    .innerJoin('formula as f', 'f.id', 'b.formula_id')
    .select(['b.id', 'f.name', 'b.day', 'b.lesson'])
    .where('b.lesson', 'like', `%${JSON.stringify(key).slice(1, -1)}%`)
    .orderBy('b.started_at', 'desc')
    .limit(most)
    .execute();
  return rows.flatMap(({ lesson: text, ...bake }) => {
    const lesson = lessonOf(JSON.parse(text!));
    const taught = lesson.taught.find((t) => t.key === key);
    const measured = lesson.measured?.find((m) => m.key === key);
    const moved =
      taught ??
      (measured && {
        before: { value: measured.before.mean, sd: measured.before.sd },
        after: { value: measured.after.mean, sd: measured.after.sd },
      });
    return moved
      ? [{ ...bake, odd: lesson.odd ?? false, before: moved.before, after: moved.after }]
      : [];
  });
}
