import { awayBody } from '$lib/server/boundary/archive-schema.ts';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { takeAllAway } from '$lib/server/copies.ts';
import { route } from '$lib/server/route.ts';

/** Everything is taken away; said in so many words. */
export const POST = route(async ({ request }) => {
  check(awayBody, await readJson(request), 'body');
  await takeAllAway();
  return new Response(null, { status: 204 });
});
