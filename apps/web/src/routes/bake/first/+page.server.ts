import { forBread } from '@tender-crumb/core/learn';
import { kitchen } from '$lib/server/kitchen.ts';
import { knownBelief } from '$lib/server/store/known-belief.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const db = await kitchen();
  const [household, { belief }] = await Promise.all([readHousehold(db), knownBelief(db)]);
  return { household, belief: forBread(belief, undefined) };
};
