import { kitchen } from '$lib/server/kitchen.ts';
import { localZone } from '$lib/server/day.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import { bakesMeasuredOtherwise } from '$lib/server/store/kitchens.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const db = await kitchen();
  const household = await readHousehold(db);
  return {
    household,
    measuredOtherwise: await bakesMeasuredOtherwise(db, household),
    zone: localZone(),
  };
};
