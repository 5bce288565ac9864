import { settingsOf, type Settings } from '@tender-crumb/core/household';
import { json } from '@sveltejs/kit';
import { apply } from 'json-merge-patch';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { applyChange } from '$lib/wire/merge.ts';
import { sensibleSettings } from '$lib/server/boundary/known.ts';
import { changeBody } from '$lib/server/boundary/schemas.ts';
import { settingsBody, settingsPatch } from '$lib/server/boundary/settings-schema.ts';
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

const isChange = (body: unknown): boolean =>
  typeof body === 'object' && body !== null && Object.keys(body).sort().join() === 'now,was';

/**
 * Field by field: a change, as it was and is to be, whose lists go by the ids of their rows; or a merge patch (RFC 7396),
 * whose lists are replaced. What two devices settle at once is put together, not overwritten.
 */
export const PATCH = route(async ({ request }) => {
  const db = await kitchen();
  const body = await readJson(request);
  const change = isChange(body) ? check(changeBody, body, 'body') : undefined;
  const patch = change ? {} : check(settingsPatch, body, 'body');
  const settled = await inTransaction(db, async (tx) => {
    const household = await readHousehold(tx);
    const before = structuredClone(settingsOf(household));
    const { value, clashes } = change
      ? applyChange<Settings>(before, change)
      : { value: apply(before, patch), clashes: [] };
    const merged = check(settingsBody, value, 'body');
    await saveSettings(tx, sensibleSettings(merged, household));
    return { ...merged, ...(change ? { clashes } : {}) };
  });
  await learnSoon(db, databaseFile());
  return json(settled);
});
