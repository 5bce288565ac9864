import { amongBreads } from '@tender-crumb/core/learn';
import { kitchen } from '$lib/server/kitchen.ts';
import { bookEntries } from '$lib/server/store/book-entries.ts';
import { readBelief } from '$lib/server/store/belief.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

/** More than so many do not stand beside one another. */
const most = 4;

export const load: PageServerLoad = async ({ url }) => {
  const ids = [...new Set((url.searchParams.get('of') ?? '').split(','))]
    .filter((id) => /^[A-Za-z0-9_-]{1,80}$/.test(id))
    .slice(0, most);
  const db = await kitchen();
  const [entries, household, { belief }] = await Promise.all([
    bookEntries(db, { ids }),
    readHousehold(db),
    readBelief(db),
  ]);
  return {
    entries,
    household,
    belief: amongBreads(
      belief,
      entries.flatMap((e) => e.bread ?? []),
    ),
  };
};
