import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { peakBody } from '$lib/server/boundary/fields.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { savePeak } from '$lib/server/store/feedings.ts';

export const PUT = route(async ({ params, request }) => {
  const { at } = check(peakBody, await readJson(request), 'body');
  const feeding = await savePeak(await kitchen(), params['id']!, params['feeding']!, at);
  if (!feeding) {
    throw new Problem(404, 'No such feeding', [
      { where: 'path', what: `no feeding “${params['feeding']}” of that starter` },
    ]);
  }
  return json(feeding);
});
