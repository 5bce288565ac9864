import { pantryIn } from '@tender-crumb/core/household';
import { json } from '@sveltejs/kit';
import { check } from '$lib/server/boundary/check.ts';
import { versionsQuery } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import { listVersions } from '$lib/server/store/formula-versions.ts';

/** Every version that was kept, newest first: when, from which device, and what was changed. */
export const GET = route(async ({ params, url }) => {
  const page = check(versionsQuery, Object.fromEntries(url.searchParams), 'query');
  const db = await kitchen();
  const pantry = pantryIn(await readHousehold(db));
  const { rows, total } = await listVersions(db, params['id']!, pantry, page);
  return json({ versions: rows, total });
});
