import { json } from '@sveltejs/kit';
import { Problem } from '$lib/server/problem.ts';
import { withNext } from '$lib/server/next-times.ts';
import { route } from '$lib/server/route.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { learnSoon } from '$lib/server/jobs/learning.ts';
import { dropBake } from '$lib/server/store/drop-bake.ts';
import { photoFolder } from '$lib/server/store/picture-files.ts';
import { readBake } from '$lib/server/store/bakes.ts';

export const GET = route(async ({ params }) => {
  const db = await kitchen();
  const bake = await readBake(db, params['id']!);
  if (!bake)
    throw new Problem(404, 'No such bake', [{ where: 'path', what: 'no bake of that id' }]);
  return json((await withNext(db, [bake]))[0]);
});

/** Takes a bake out of the book, with its photos; what it taught is unlearned. Twice is once. */
export const DELETE = route(async ({ params }) => {
  const db = await kitchen();
  await dropBake(db, photoFolder(databaseFile()), params['id']!);
  await learnSoon(db, databaseFile());
  return new Response(null, { status: 204 });
});
