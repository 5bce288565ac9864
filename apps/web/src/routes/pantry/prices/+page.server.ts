import { pantryIn } from '@tender-crumb/core/household';
import { saidInUrl } from '$lib/server/boundary/said-in-url.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { breadsOfBook } from '$lib/server/store/book-list.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import { usedIngredients } from '$lib/server/store/used-ingredients.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const find = saidInUrl(url, 'find');
  const household = await readHousehold(db);
  const pantry = pantryIn(household);
  const used = await usedIngredients(db);
  return {
    household,
    breads: await breadsOfBook(db, { find, also: find ? [] : Object.keys(household.money.shop) }),
    find,
    // What is baked with, but for water; the rest of the catalogue can be priced on its bag or label.
    used: used.filter((id) => id !== 'water' && pantry.has(id)),
  };
};
