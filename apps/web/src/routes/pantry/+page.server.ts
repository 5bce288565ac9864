import { knownThirst } from '@tender-crumb/core';
import { kitchen } from '$lib/server/kitchen.ts';
import { listBags } from '$lib/server/store/bags.ts';
import { readBelief, readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const db = await kitchen();
  const [household, { belief }, bags] = await Promise.all([
    readHousehold(db),
    readBelief(db),
    listBags(db),
  ]);
  return {
    household,
    bags: bags.map((b) => ({
      ...b,
      known: knownThirst({ ingredient: b.ingredient, bag: b.id }, belief),
    })),
  };
};
