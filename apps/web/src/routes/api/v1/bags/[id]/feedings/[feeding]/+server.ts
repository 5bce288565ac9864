import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { feedingBody, plainId } from '$lib/server/boundary/fields.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { dropFeeding, saveFeeding } from '$lib/server/store/feedings.ts';

export const PUT = route(async ({ params, request }) => {
  const id = check(plainId.required(), params['feeding'], 'path') as string;
  const feeding = { ...check(feedingBody, await readJson(request), 'body'), id };
  if (!(await saveFeeding(await kitchen(), params['id']!, feeding))) {
    throw new Problem(404, 'No such starter', [
      { where: 'path', what: `no starter “${params['id']}”` },
    ]);
  }
  return json(feeding);
});

export const DELETE = route(async ({ params }) => {
  const bake = await dropFeeding(await kitchen(), params['id']!, params['feeding']!);
  if (bake !== undefined) {
    throw new Problem(409, 'It was fed in a bake: take it back there', [
      { where: 'path', what: `was written down by the bake “${bake}”` },
    ]);
  }
  return json({});
});
