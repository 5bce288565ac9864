import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { sourceBody } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { pastedFrom } from '$lib/server/store/formulas.ts';

/** Formulas on the shelf that were pasted from the same text. */
export const POST = route(async ({ request }) => {
  const { source } = check(sourceBody, await readJson(request), 'body');
  return json({ twins: await pastedFrom(await kitchen(), source) });
});
