import { json } from '@sveltejs/kit';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { withNext } from '$lib/server/next-times.ts';
import { route } from '$lib/server/route.ts';
import { readBake } from '$lib/server/store/bakes.ts';

export const GET = route(async ({ params }) => {
  const db = await kitchen();
  const bake = await readBake(db, params['id']!);
  if (!bake)
    throw new Problem(404, 'No such bake', [{ where: 'path', what: 'no bake of that id' }]);
  return json((await withNext(db, [bake]))[0]);
});
