import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { settingsBody } from '$lib/server/boundary/schemas.ts';
import { inTransaction } from '$lib/server/database/open.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { learnAgain } from '$lib/server/store/bakes.ts';
import { readSettings, saveSettings } from '$lib/server/store/household.ts';

export const GET = route(async () => json(await readSettings(await kitchen())));

export const PUT = route(async ({ request }) => {
  const settings = check(settingsBody, await readJson(request), 'body');
  await inTransaction(await kitchen(), async (tx) => {
    const before = await readSettings(tx);
    await saveSettings(tx, settings);
    // What the book taught leans on the figures: with others it is learned again.
    const figures = JSON.stringify(before.figures) !== JSON.stringify(settings.figures);
    if (figures) await learnAgain(tx);
  });
  return json(settings);
});
