import { kitchen } from '$lib/server/kitchen.ts';
import { shelfRows } from '$lib/server/shelf.ts';
import { lastFelt } from '$lib/server/store/bakes.ts';
import { listFormulas } from '$lib/server/store/formulas.ts';
import { readBelief, readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

const perPage = 40;

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const search = (url.searchParams.get('find') ?? '').slice(0, 200);
  const page = Math.max(1, Math.trunc(Number(url.searchParams.get('page'))) || 1);
  const { rows, total } = await listFormulas(db, {
    limit: perPage,
    offset: (page - 1) * perPage,
    search,
  });
  const [household, learned, felt] = await Promise.all([
    readHousehold(db),
    readBelief(db),
    lastFelt(
      db,
      rows.map((r) => r.id),
    ),
  ]);
  return {
    rows: shelfRows(rows, household, learned, felt),
    total,
    search,
    page,
    pages: Math.max(1, Math.ceil(total / perPage)),
    household,
    belief: learned.belief,
  };
};
