import { pantryIn } from '@tender-crumb/core/household';
import { kindOfBag } from '@tender-crumb/core/ingredient';
import { knownAbsorption } from '@tender-crumb/core/learn';
import { kitchen } from '$lib/server/kitchen.ts';
import { listLabels } from '$lib/server/store/own.ts';
import { readBelief } from '$lib/server/store/belief.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
  const db = await kitchen();
  const [household, { belief }, labels] = await Promise.all([
    readHousehold(db),
    readBelief(db),
    listLabels(db),
  ]);
  return {
    household,
    labels,
    bags: household.bags
      .filter((b) => kindOfBag(b) === 'flour')
      .map((b) => ({
        ...b,
        known: knownAbsorption(
          { ingredient: b.ingredient, bag: b.id },
          belief,
          pantryIn(household),
        ),
      })),
  };
};
