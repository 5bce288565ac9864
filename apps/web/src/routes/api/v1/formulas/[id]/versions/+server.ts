import { json } from '@sveltejs/kit';
import { check } from '$lib/server/boundary/check.ts';
import { versionsQuery } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { listVersions } from '$lib/server/store/formula-versions.ts';

/** Every version that was kept, newest first: when, and from which device. */
export const GET = route(async ({ params, url }) => {
  const page = check(versionsQuery, Object.fromEntries(url.searchParams), 'query');
  const { rows, total } = await listVersions(await kitchen(), params['id']!, page);
  return json({ versions: rows, total });
});
