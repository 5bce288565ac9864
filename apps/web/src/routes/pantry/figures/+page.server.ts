import { kitchen } from '$lib/server/kitchen.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({
  household: await readHousehold(await kitchen()),
});
