import { json } from '@sveltejs/kit';
import { learnSoon } from '$lib/server/jobs/learning.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { readSettings } from '$lib/server/store/household.ts';
import { bakesMeasuredOtherwise, measuresWereAlwaysSo } from '$lib/server/store/kitchens.ts';

/** Every bake was measured as the household measures now. */
export const POST = route(async () => {
  const db = await kitchen();
  const settings = await readSettings(db);
  const bakes = await bakesMeasuredOtherwise(db, settings);
  if (bakes > 0) await measuresWereAlwaysSo(db, settings);
  await learnSoon(db, databaseFile());
  return json({ bakes });
});
