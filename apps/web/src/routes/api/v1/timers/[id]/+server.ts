import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { plainId } from '$lib/server/boundary/fields.ts';
import { mostTimers, timerBody } from '$lib/server/boundary/plan-schema.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { countTimers, setTimer, stopTimer } from '$lib/server/store/timers.ts';

export const PUT = route(async ({ params, request }) => {
  const id = check(plainId.required(), params['id'], 'path') as string;
  const timer = { ...check(timerBody, await readJson(request), 'body'), id };
  const db = await kitchen();
  if ((await countTimers(db)) >= mostTimers) {
    throw new Problem(422, 'So many timers are more than anybody hears', [
      { where: 'body', what: `up to ${mostTimers} at a time` },
    ]);
  }
  await setTimer(db, timer);
  return json(timer);
});

export const DELETE = route(async ({ params }) => {
  await stopTimer(await kitchen(), params['id']!);
  return json({});
});
