import { forBread } from '@tender-crumb/core/learn';
import { kitchen } from '$lib/server/kitchen.ts';
import { readBelief } from '$lib/server/store/belief.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const db = await kitchen();
  const [household, { belief }] = await Promise.all([readHousehold(db), readBelief(db)]);
  return { household, belief: forBread(belief, undefined) };
};
