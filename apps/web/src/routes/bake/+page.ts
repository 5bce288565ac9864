import { shown } from '$lib/away/shown.ts';
import type { DayShown } from '$lib/server/shown/day.ts';
import type { PageLoad } from './$types';

export const load: PageLoad = async ({ fetch, url }) => {
  /** The bread that somebody came to plan. */
  const first = url.searchParams.get('plan') ?? undefined;
  return { ...(await shown<DayShown>(fetch, 'day')), first };
};
