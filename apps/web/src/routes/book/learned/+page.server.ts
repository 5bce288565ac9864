import { amongBreads, learnedFigures, learnedWindows } from '@tender-crumb/core/learn';
import type { StyleId } from '@tender-crumb/core/style';
import { saidInUrl } from '$lib/server/boundary/said-in-url.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { pageIn } from '$lib/server/paging.ts';
import { breadsAtOnce, breadsOfBook } from '$lib/server/store/book-list.ts';
import { readBelief } from '$lib/server/store/belief.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import { evidenceFor } from '$lib/server/store/evidence.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const open = saidInUrl(url, 'of');
  const find = saidInUrl(url, 'find');
  const openBread = /^departure:(.+)$/.exec(open)?.[1];
  const also = openBread === undefined ? [] : [openBread];
  const { total } = await breadsOfBook(db, { find });
  const { page, pages, offset } = pageIn(url.searchParams, total, breadsAtOnce);
  const [household, { belief }, breads, evidence] = await Promise.all([
    readHousehold(db),
    readBelief(db),
    breadsOfBook(db, { find, also, offset }),
    open === '' ? [] : evidenceFor(db, open),
  ]);
  const shown = amongBreads(
    belief,
    breads.rows.map((b) => b.id),
  );
  const names = new Map(breads.rows.map((b) => [b.id, b.name]));
  const styles = new Map(breads.rows.map((b) => [b.id, b.style as StyleId]));
  return {
    household,
    // What is written of a figure is the page’s.
    figures: learnedFigures(household, shown, names).map(
      ({ key, kind, says, now, band, table, bakes }) => ({
        key,
        kind,
        says,
        now,
        band,
        table,
        bakes,
      }),
    ),
    said: belief.said?.words,
    windows: learnedWindows(household, shown, styles),
    breads: breads.rows.map(({ id, name }) => ({ id, name })),
    total,
    find,
    page,
    pages,
    open,
    evidence,
  };
};
