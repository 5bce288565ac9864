import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { deviceBody } from '$lib/server/boundary/schemas.ts';
import { pairingCode } from '$lib/server/gate/code.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { forgetDevice, renameDevice } from '$lib/server/gate/doors-book.ts';

const missing = () =>
  new Problem(404, 'No such device', [{ where: 'path', what: 'no device of that id' }]);

export const PUT = route(async ({ params, request }) => {
  const { name } = check(deviceBody, await readJson(request), 'body');
  if (!renameDevice(params['id']!, name)) throw missing();
  return json({ id: params['id'], name });
});

export const DELETE = route(async ({ params }) => {
  if (!forgetDevice(params['id']!)) throw missing();
  // Whoever is forgotten knew the code.
  pairingCode.renew();
  return json({ id: params['id'] });
});
