import { bakeRecord, drawnPoint } from '@tender-crumb/core/book';
import { saidInUrl } from '$lib/server/boundary/said-in-url.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { bookAsked } from '$lib/server/boundary/book-query.ts';
import { drawnAsked } from '$lib/server/boundary/drawn-query.ts';
import { bookEntries } from '$lib/server/store/book-entries.ts';
import { breadsOfBook } from '$lib/server/store/book-list.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const asked = bookAsked(url.searchParams).formula;
  const { of, along, newest } = drawnAsked(url.searchParams);
  const find = saidInUrl(url, 'find');
  const breads = await breadsOfBook(db, { find, also: asked ? [asked] : [] });
  const bread = breads.rows.find((b) => b.id === asked) ?? breads.rows[0];
  const [entries, household] = await Promise.all([
    bread === undefined ? [] : bookEntries(db, { bread: bread.id, newest }),
    readHousehold(db),
  ]);
  return {
    breads,
    find,
    bread: bread?.id,
    of,
    along,
    /** There are older bakes than those that are drawn. */
    older: entries.length < (bread?.bakes ?? 0) ? newest : undefined,
    points: entries.flatMap(
      (e) => drawnPoint(bakeRecord(e, household), of, along, household) ?? [],
    ),
  };
};
