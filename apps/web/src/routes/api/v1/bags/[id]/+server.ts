import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { sensibleBag } from '$lib/server/boundary/known.ts';
import { bagBody, bagQuery } from '$lib/server/boundary/schemas.ts';
import { learnSoon } from '$lib/server/jobs/learning.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { saveBag } from '$lib/server/store/bags.ts';
import { readHousehold } from '$lib/server/store/household.ts';

export const PUT = route(async ({ params, request, url }) => {
  const db = await kitchen();
  const given = check(bagBody, await readJson(request), 'body');
  const bag = { ...sensibleBag(given, await readHousehold(db)), id: params['id']! };
  const { since } = check(bagQuery, Object.fromEntries(url.searchParams), 'query');
  if (!(await saveBag(db, bag, since))) {
    throw new Problem(404, 'No such bag', [{ where: 'path', what: `no bag “${bag.id}”` }]);
  }
  await learnSoon(db, databaseFile());
  return json(bag);
});
