import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { sensibleLabel } from '$lib/server/boundary/known.ts';
import { ownId } from '$lib/server/boundary/ingredient-fields.ts';
import { changeBody, labelBody } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { changeOwn, saveOwn } from '$lib/server/store/own.ts';

/** Field by field, on what stands there by now; one that is not there is made. */
export const PATCH = route(async ({ params, request }) => {
  const id = check(ownId.required(), params['id'], 'path') as string;
  const change = check(changeBody, await readJson(request), 'body');
  const changed = await changeOwn(await kitchen(), id, change, (label) =>
    sensibleLabel(check(labelBody, label, 'body')),
  );
  if (!changed) {
    throw new Problem(404, 'No such ingredient', [{ where: 'path', what: `no “${id}”` }]);
  }
  return json(changed);
});

export const PUT = route(async ({ params, request }) => {
  const label = sensibleLabel(check(labelBody, await readJson(request), 'body'));
  const own = { id: params['id']!, label };
  if (!(await saveOwn(await kitchen(), own))) {
    throw new Problem(404, 'No such ingredient', [{ where: 'path', what: `no “${own.id}”` }]);
  }
  return json(own);
});
