import { json } from '@sveltejs/kit';
import { onDevice } from '$lib/server/boundary/device-clock.ts';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { eventsBody } from '$lib/server/boundary/schemas.ts';
import { learnSoon } from '$lib/server/jobs/learning.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { withNext } from '$lib/server/next-times.ts';
import { route } from '$lib/server/route.ts';
import { appendEvents } from '$lib/server/store/append-events.ts';

export const POST = route(async ({ params, request }) => {
  const { events } = check(eventsBody, await readJson(request), 'body');
  const db = await kitchen();
  const bake = await appendEvents(db, params['id']!, onDevice(request, events));
  if (!bake)
    throw new Problem(404, 'No such bake', [{ where: 'path', what: 'no bake of that id' }]);
  await learnSoon(db, databaseFile());
  return json((await withNext(db, [bake]))[0]);
});
