import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { sensibleLabel } from '$lib/server/boundary/known.ts';
import { labelBody } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { saveOwn } from '$lib/server/store/own.ts';

export const PUT = route(async ({ params, request }) => {
  const label = sensibleLabel(check(labelBody, await readJson(request), 'body'));
  const own = { id: params['id']!, label };
  if (!(await saveOwn(await kitchen(), own))) {
    throw new Problem(404, 'No such ingredient', [{ where: 'path', what: `no “${own.id}”` }]);
  }
  return json(own);
});
