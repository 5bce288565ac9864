import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { bagBody } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { addBag, listBags } from '$lib/server/store/bags.ts';

export const GET = route(async () => json({ bags: await listBags(await kitchen()) }));

export const POST = route(async ({ request }) => {
  const bag = { ...check(bagBody, await readJson(request), 'body'), id: crypto.randomUUID() };
  await addBag(await kitchen(), bag);
  return json(bag, { status: 201 });
});
