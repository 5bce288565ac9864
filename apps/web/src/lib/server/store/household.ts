import { soundFigures } from '@tender-crumb/core/coefficients';
import {
  defaultSettings,
  houseQuestionIds,
  type Household,
  type Settings,
} from '@tender-crumb/core/household';
import { catalogue } from '@tender-crumb/core/ingredient';
import { inTransaction, type Database } from '../database/open.ts';
import { dayAt } from '../day.ts';
import { listBags } from './bags.ts';
import { wantLearning } from './learning.ts';
import { listOwn } from './own.ts';
import { currentTime } from '../../clock.ts';

const key = 'household';

/** What the household settled, or the usual where it has not. */
export async function readSettings(db: Database): Promise<Settings> {
  const row = await db
    .selectFrom('setting')
    .select('value')
    .where('key', '=', key)
    .executeTakeFirst();
  // Who settled things before these were asked is not asked them now.
  const asked = { settled: houseQuestionIds };
  return row
    ? { ...defaultSettings, ...asked, ...(JSON.parse(row.value) as Settings) }
    : defaultSettings;
}

/** The household: what it settled and what stands in its pantry, today. */
export async function readHousehold(db: Database, now = currentTime()): Promise<Household> {
  const [settings, own, bags] = await Promise.all([readSettings(db), listOwn(db), listBags(db)]);
  const figures = soundFigures([...catalogue, ...own], settings.figures);
  return { ...settings, figures, own, bags, today: dayAt(now) };
}

/** Stores what the household settled. With other figures the book is learned again. */
export async function saveSettings(db: Database, settings: Settings): Promise<void> {
  const value = JSON.stringify(settings);
  await inTransaction(db, async (tx) => {
    const before = await readSettings(tx);
    await tx
      .insertInto('setting')
      .values({ key, value })
      .onConflict((c) => c.column('key').doUpdateSet({ value }))
      .execute();
    // What the book taught leans on the figures, and begins from the hands that were tried.
    const figures = (s: Settings) =>
      JSON.stringify([
        Object.entries(s.figures).sort(),
        s.altitude ?? 0,
        s.bakers.flatMap(({ id, felt }) => (felt ? [{ id, felt }] : [])),
      ]);
    if (figures(before) !== figures(settings)) await wantLearning(tx);
  });
}
