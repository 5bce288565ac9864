import { bookAsked } from '$lib/server/boundary/book-query.ts';
import { bookRows } from '$lib/server/book-rows.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { pageIn } from '$lib/server/paging.ts';
import { listBook, yearOf, yearsOf } from '$lib/server/store/book-list.ts';
import { listHeads } from '$lib/server/store/formulas.ts';
import { readBelief } from '$lib/server/store/belief.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

/** Beside a year, which is a page in itself, there are fewer. */
const perPage = (withYear: boolean): number => (withYear ? 10 : 20);

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const asked = bookAsked(url.searchParams);
  // The year is laid out where somebody asked for it.
  const asksYear = url.searchParams.has('year');
  const limit = perPage(asksYear);
  const paged = (total: number) => pageIn(url.searchParams, total, limit);
  const [{ rows, total }, formulas, household, learned, years] = await Promise.all([
    listBook(db, asked, (total) => ({ limit, offset: paged(total).offset })),
    listHeads(db, { limit: 200 }),
    readHousehold(db),
    readBelief(db),
    yearsOf(db),
  ]);
  const wanted = Math.trunc(Number(url.searchParams.get('year')));
  const year = years && (wanted >= years.first && wanted <= years.last ? wanted : years.last);
  return {
    rows: await bookRows(db, rows, household, learned),
    formulas: formulas.rows.map(({ id, name }) => ({ id, name })),
    bags: household.bags.map(({ id, name }) => ({ id, name })),
    asked,
    years,
    year,
    asksYear,
    days: year === undefined || !asksYear ? [] : await yearOf(db, year),
    total,
    page: paged(total).page,
    pages: paged(total).pages,
  };
};
