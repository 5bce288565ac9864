import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { householdBody } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { readHousehold, saveHousehold } from '$lib/server/store/household.ts';

export const GET = route(async () => json(await readHousehold(await kitchen())));

export const PUT = route(async ({ request }) => {
  const household = check(householdBody, await readJson(request), 'body');
  await saveHousehold(await kitchen(), household);
  return json(household);
});
