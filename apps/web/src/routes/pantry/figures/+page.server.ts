import { catalogue, figureGroups } from '@tender-crumb/core';
import { kitchen } from '$lib/server/kitchen.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const household = await readHousehold(await kitchen());
  return {
    household,
    groups: figureGroups([...catalogue, ...household.own], household.figures),
  };
};
