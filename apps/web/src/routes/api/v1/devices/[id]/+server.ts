import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { deviceBody } from '$lib/server/boundary/schemas.ts';
import { pairingCode } from '$lib/server/gate/code.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { forgetDevice, renameDevice } from '$lib/server/store/devices.ts';

const missing = () =>
  new Problem(404, 'No such device', [{ where: 'path', what: 'no device of that id' }]);

export const PUT = route(async ({ params, request }) => {
  const { name } = check(deviceBody, await readJson(request), 'body');
  if (!(await renameDevice(await kitchen(), params['id']!, name))) throw missing();
  return json({ id: params['id'], name });
});

export const DELETE = route(async ({ params }) => {
  if (!(await forgetDevice(await kitchen(), params['id']!))) throw missing();
  // Whoever is forgotten knew the code.
  pairingCode.renew();
  return json({ id: params['id'] });
});
