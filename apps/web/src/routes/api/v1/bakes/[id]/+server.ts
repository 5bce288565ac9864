import { json } from '@sveltejs/kit';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { readBake } from '$lib/server/store/bakes.ts';

export const GET = route(async ({ params }) => {
  const bake = await readBake(await kitchen(), params['id']!);
  if (!bake)
    throw new Problem(404, 'No such bake', [{ where: 'path', what: 'no bake of that id' }]);
  return json(bake);
});
