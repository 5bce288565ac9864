import type { Expected } from '@tender-crumb/core/book';
import { json } from '@sveltejs/kit';
import { check } from '$lib/server/boundary/check.ts';
import { drawnAsked } from '$lib/server/boundary/drawn-query.ts';
import { plainId } from '$lib/server/boundary/fields.ts';
import { askJob } from '$lib/server/jobs/job.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';

/** Where a measure of each bake of a bread was to be expected, by its id: rises are simulated for it, one by one. */
export const GET = route(async ({ params, url }) => {
  await kitchen();
  const bread = check(plainId.required(), params['bread'], 'path');
  const { of, newest } = drawnAsked(url.searchParams);
  const file = databaseFile();
  return json({
    by: await askJob<Readonly<Record<string, Expected>>>('expected', { file, bread, of, newest }),
  });
});
