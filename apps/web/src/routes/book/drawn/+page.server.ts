import { forBread } from '@tender-crumb/core';
import { kitchen } from '$lib/server/kitchen.ts';
import { bookAsked } from '$lib/server/boundary/book-query.ts';
import { bookEntries } from '$lib/server/store/book-entries.ts';
import { breadsOfBook } from '$lib/server/store/book-list.ts';
import { readBelief, readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

const newest = 300;

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const breads = await breadsOfBook(db);
  const asked = bookAsked(url.searchParams).formula;
  const bread = breads.find((b) => b.id === asked)?.id ?? breads[0]?.id;
  const [entries, household, { belief }] = await Promise.all([
    bread === undefined ? [] : bookEntries(db, { bread, newest }),
    readHousehold(db),
    readBelief(db),
  ]);
  return { breads, bread, entries, household, belief: forBread(belief, bread) };
};
