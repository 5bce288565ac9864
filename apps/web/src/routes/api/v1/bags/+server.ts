import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { sensibleBag } from '$lib/server/boundary/known.ts';
import { bagBody } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { addBag, listBags } from '$lib/server/store/bags.ts';
import { readHousehold } from '$lib/server/store/household.ts';

export const GET = route(async () => json({ bags: await listBags(await kitchen()) }));

export const POST = route(async ({ request }) => {
  const db = await kitchen();
  const given = check(bagBody, await readJson(request), 'body');
  const bag = { ...sensibleBag(given, await readHousehold(db)), id: crypto.randomUUID() };
  await addBag(db, bag);
  return json(bag, { status: 201 });
});
