import { json } from '@sveltejs/kit';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { bakeShown } from '$lib/server/shown/bake.ts';

/** What the page of a bake shows. */
export const GET = route(async ({ params }) => {
  const shown = await bakeShown(await kitchen(), params['id']!);
  if (!shown) throw new Problem(404, 'There is no such bake.', []);
  return json(shown);
});
