import { mkdirSync, writeFileSync } from 'node:fs';
import { randomBytes } from 'node:crypto';
import { join } from 'node:path';
import type { BakeEvent } from '@tender-crumb/core/bake';
import { openDatabase } from '../../apps/web/src/lib/server/database/open.ts';
import { demoData } from '../../demo/household.ts';
import { fillDemo } from '../../apps/web/src/lib/server/demo.ts';
import { many } from './measure.ts';

export const formulaCount = many(1000, 20);
export const bakeCount = many(5000, 200);
export const photoCount = many(500, 3);
/** A photo as it is kept, bytes. */
const photoBytes = 350_000;
const today = new Date('2026-11-20T12:00:00Z');

/** Ten years of a bake on most days, ms between two. */
const betweenBakes = 18 * 3_600_000;

/** A database with copies of the demo household's formulas and bakes, lessons and all. */
export async function fillLarge(file: string): Promise<void> {
  const db = await openDatabase(file);
  await fillDemo(db, today);
  const lessons = await db
    .selectFrom('bake')
    .select(['lesson', 'felt', 'outcome', 'kitchen_id'])
    .execute();
  const data = demoData(today);
  await db.transaction().execute(async (tx) => {
    for (let n = data.formulas.length; n < formulaCount; n += 1) {
      const { formula } = data.formulas[n % data.formulas.length]!.versions[0]!;
      const at = new Date(today.getTime() - n * 3_600_000).toISOString();
      const body = JSON.stringify({ ...formula, name: `${formula.name} ${n}` });
      await tx
        .insertInto('formula')
        .values({
          id: `f${n}`,
          name: `${formula.name} ${n}`,
          style: formula.style,
          version: 1,
          created_at: at,
          updated_at: at,
        })
        .execute();
      await tx
        .insertInto('formula_version')
        .values({ formula_id: `f${n}`, version: 1, body, saved_at: at })
        .execute();
    }
    for (let n = data.bakes.length; n < bakeCount; n += 1) {
      const like = n % data.bakes.length;
      // Of a thousand breads one is baked every week.
      const of = n % 10 === 0 ? 8 : 8 + (n % (formulaCount - 8));
      const at = new Date(today.getTime() - n * betweenBakes).toISOString();
      const { lesson, felt, outcome, kitchen_id } = lessons[like]!;
      await tx
        .insertInto('bake')
        .values({
          id: `b${n}`,
          formula_id: `f${of}`,
          formula_version: 1,
          method: 'hand',
          started_at: at,
          finished_at: at,
          felt,
          outcome,
          lesson,
          given_up_at: null,
          day: at.slice(0, 10),
          kitchen_id,
        })
        .execute();
      await tx
        .insertInto('bake_event')
        .values(
          data.bakes[like]!.events.map((e: BakeEvent, i) => ({
            id: `b${n}-${i}`,
            bake_id: `b${n}`,
            at,
            kind: e.kind,
            data: JSON.stringify(e.data),
          })),
        )
        .execute();
    }
  });
  const photos = join(file, '..', 'photos');
  mkdirSync(photos, { recursive: true });
  for (let n = 0; n < photoCount; n += 1) {
    const id = `photo${n}`;
    writeFileSync(join(photos, `${id}.jpg`), randomBytes(photoBytes));
    writeFileSync(join(photos, `${id}.small.jpg`), randomBytes(20_000));
    await db.transaction().execute((tx) =>
      tx
        .insertInto('photo')
        .values({
          id,
          bake_id: `b${data.bakes.length + n}`,
          step: 'taste',
          at: today.toISOString(),
          width: 1600,
          height: 1200,
          bytes: photoBytes,
          digest: id,
        })
        .execute(),
    );
  }
  await db.destroy();
}
