import { forBread } from '@tender-crumb/core/learn';
import { localZone } from '$lib/server/day.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { listFeedings } from '$lib/server/store/feedings.ts';
import { knownBelief } from '$lib/server/store/known-belief.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const db = await kitchen();
  const [household, { belief }, feedings] = await Promise.all([
    readHousehold(db),
    knownBelief(db),
    listFeedings(db),
  ]);
  return {
    household,
    belief: forBread(belief, undefined),
    feedings,
    zone: household.zone ?? localZone(),
  };
};
