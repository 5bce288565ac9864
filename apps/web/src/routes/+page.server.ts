import { firstLoaves } from '@tender-crumb/core/exchange';
import { saidInUrl } from '$lib/server/boundary/said-in-url.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { pageIn } from '$lib/server/paging.ts';
import { shelfRows } from '$lib/server/shelf.ts';
import { countFormulas, listHeads } from '$lib/server/store/formulas.ts';
import { knownBelief } from '$lib/server/store/known-belief.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

const perPage = 30;

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const search = saidInUrl(url, 'find');
  const { page, pages, offset } = pageIn(
    url.searchParams,
    await countFormulas(db, search),
    perPage,
  );
  const [{ rows, total }, household, learned] = await Promise.all([
    listHeads(db, { limit: perPage, offset, search }),
    readHousehold(db),
    knownBelief(db),
  ]);
  return {
    rows: await shelfRows(db, rows, household, learned),
    total,
    search,
    page,
    pages,
    household,
    // Of an empty shelf alone: with what one could begin.
    firstLoaves: total === 0 && search === '' ? firstLoaves.map((l) => l.name) : [],
  };
};
