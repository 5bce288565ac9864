import { json } from '@sveltejs/kit';
import { oldBody } from '$lib/server/boundary/archive-schema.ts';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { learnSoon } from '$lib/server/jobs/learning.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { bringOld } from '$lib/server/store/old-bakes.ts';

/** Bakes from somebody's own table, kept as assumed. */
export const POST = route(async ({ request }) => {
  const { bakes } = check(oldBody, await readJson(request), 'body');
  const db = await kitchen();
  const came = await bringOld(db, bakes);
  if (came > 0) await learnSoon(db, databaseFile());
  return json({ came });
});
