import { kitchen } from '$lib/server/kitchen.ts';
import { breadsOfBook } from '$lib/server/store/book-list.ts';
import { readBelief, readHousehold } from '$lib/server/store/household.ts';
import { evidenceFor } from '$lib/server/store/evidence.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const open = (url.searchParams.get('of') ?? '').slice(0, 200);
  const [household, { belief }, breads, evidence] = await Promise.all([
    readHousehold(db),
    readBelief(db),
    breadsOfBook(db),
    open === '' ? [] : evidenceFor(db, open),
  ]);
  return { household, belief, breads, open, evidence };
};
