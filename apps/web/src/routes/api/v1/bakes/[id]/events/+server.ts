import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { eventsBody } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { appendEvents } from '$lib/server/store/bakes.ts';

export const POST = route(async ({ params, request }) => {
  const { events } = check(eventsBody, await readJson(request), 'body');
  const bake = await appendEvents(await kitchen(), params['id']!, events);
  if (!bake)
    throw new Problem(404, 'No such bake', [{ where: 'path', what: 'no bake of that id' }]);
  return json(bake);
});
