import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { sensibleLabel } from '$lib/server/boundary/known.ts';
import { labelBody } from '$lib/server/boundary/schemas.ts';
import { inTransaction } from '$lib/server/database/open.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { addOwn, listLabels } from '$lib/server/store/own.ts';

export const GET = route(async () => json({ ingredients: await listLabels(await kitchen()) }));

export const POST = route(async ({ request }) => {
  const label = sensibleLabel(check(labelBody, await readJson(request), 'body'));
  const added = await inTransaction(await kitchen(), (tx) => addOwn(tx, label));
  return json(added, { status: 201 });
});
