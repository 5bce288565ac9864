import { settingsOf, type Settings } from '@tender-crumb/core';
import { json } from '@sveltejs/kit';
import { apply } from 'json-merge-patch';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { sensibleSettings } from '$lib/server/boundary/known.ts';
import { settingsBody, settingsPatch } from '$lib/server/boundary/schemas.ts';
import { inTransaction } from '$lib/server/database/open.ts';
import { learnSoon } from '$lib/server/jobs/learning.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { readHousehold, readSettings, saveSettings } from '$lib/server/store/household.ts';

export const GET = route(async () => json(await readSettings(await kitchen())));

export const PUT = route(async ({ request }) => {
  const db = await kitchen();
  const given = check(settingsBody, await readJson(request), 'body');
  const settings = sensibleSettings(given, await readHousehold(db));
  await saveSettings(db, settings);
  await learnSoon(db, databaseFile());
  return json(settings);
});

/** Field by field (RFC 7396): what two devices settle at once is merged, not overwritten. */
export const PATCH = route(async ({ request }) => {
  const db = await kitchen();
  const patch = check(settingsPatch, await readJson(request), 'body');
  const settings = await inTransaction(db, async (tx): Promise<Settings> => {
    const household = await readHousehold(tx);
    const merged = check(
      settingsBody,
      apply(structuredClone(settingsOf(household)), patch),
      'body',
    );
    await saveSettings(tx, sensibleSettings(merged, household));
    return merged;
  });
  await learnSoon(db, databaseFile());
  return json(settings);
});
