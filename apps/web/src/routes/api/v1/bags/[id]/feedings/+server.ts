import { json } from '@sveltejs/kit';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { listFeedings } from '$lib/server/store/feedings.ts';

export const GET = route(async ({ params }) => {
  const feedings = await listFeedings(await kitchen());
  return json({ feedings: feedings[params['id']!] ?? [] });
});
