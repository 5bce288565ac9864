import { kitchen } from '$lib/server/kitchen.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import { practised } from '$lib/server/store/practice.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const db = await kitchen();
  return { called: await practised(db), household: await readHousehold(db) };
};
