import { json } from '@sveltejs/kit';
import { bakerCookie } from '$lib/wire/baker-here.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { benchShown } from '$lib/server/shown/bench.ts';

/** What the bench of a formula shows. */
export const GET = route(async ({ params, cookies }) => {
  const here = { opened: cookies.get('bench'), baker: cookies.get(bakerCookie) };
  const shown = await benchShown(await kitchen(), params['id']!, here);
  if (!shown) throw new Problem(404, 'There is no such formula on the shelf.', []);
  return json(shown);
});
