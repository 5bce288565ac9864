import { demoData } from '../../../../../demo/household.ts';
import { demoUnderWay } from '../../../../../demo/under-way.ts';
import type { Database } from './database/open.ts';
import { addBag } from './store/bags.ts';
import { addOwn } from './store/own.ts';
import { appendEvents } from './store/append-events.ts';
import { startBake } from './store/bakes.ts';
import { keepPhoto } from './store/photos.ts';
import { saveFeeding } from './store/feedings.ts';
import { savePlan } from './store/plans.ts';
import { addFormula, saveFormula } from './store/formulas.ts';
import { saveSettings } from './store/household.ts';

/** Fills an empty demo database with the invented household; leaves one that has something alone. */
export async function fillDemo(db: Database, today: Date): Promise<void> {
  const filled = await db.selectFrom('formula').select('id').limit(1).executeTakeFirst();
  if (filled) return;
  const data = demoData(today);
  await db.transaction().execute(async (tx) => {
    await saveSettings(tx, data.settings);
    for (const bag of data.bags) await addBag(tx, bag);
    for (const label of data.labels) await addOwn(tx, label);
    for (const { id, versions } of data.formulas) {
      const [first, ...later] = versions;
      await addFormula(tx, first!.formula, { id, at: first!.at });
      for (const [i, { formula, at }] of later.entries()) {
        await saveFormula(tx, id, i + 1, formula, { at });
      }
    }
    for (const bake of data.bakes) {
      await startBake(tx, { ...bake, formulaVersion: bake.version });
      await appendEvents(tx, bake.id, bake.events);
    }
    for (const { bag, ...feeding } of data.feedings) await saveFeeding(tx, bag, feeding);
    for (const plan of data.plans) await savePlan(tx, plan);
    await beginUnderWay(tx, today, data.formulas);
  });
}

/** Longer side of the small picture, pixels. */
const small = 320;

/** Draws the loaves of the invented household: its photos are plainly drawings. Done again, they are there already. */
export async function drawDemo(db: Database, folder: string, today: Date): Promise<void> {
  const { default: sharp } = await import('sharp');
  for (const { id: bakeId, drawing } of demoData(today).bakes) {
    if (!drawing) continue;
    const svg = Buffer.from(drawing.svg);
    await keepPhoto(db, folder, { id: drawing.photo, bakeId, step: 'taste' }, svg, async () => {
      const kept = await sharp(svg).jpeg({ quality: 82 }).toBuffer({ resolveWithObject: true });
      return {
        kept: kept.data,
        small: await sharp(svg).resize(small).jpeg().toBuffer(),
        width: kept.info.width,
        height: kept.info.height,
      };
    });
  }
}

/** The bake that is under way when the demo opens. */
async function beginUnderWay(
  tx: Database,
  now: Date,
  formulas: ReturnType<typeof demoData>['formulas'],
): Promise<void> {
  const plait = formulas.find((f) => f.id === 'sluice-gate-plait');
  const formula = plait?.versions.at(-1)?.formula;
  if (!plait || !formula) return;
  const { events, ...bake } = demoUnderWay(now, formula);
  await startBake(tx, {
    ...bake,
    formulaId: plait.id,
    formulaVersion: plait.versions.length,
  });
  await appendEvents(tx, bake.id, events);
}
