import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { plainId } from '$lib/server/boundary/fields.ts';
import { sensibleBag } from '$lib/server/boundary/known.ts';
import { bagBody, bagQuery, changeBody } from '$lib/server/boundary/schemas.ts';
import { learnSoon } from '$lib/server/jobs/learning.ts';
import { databaseFile, kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { changeBag, saveBag } from '$lib/server/store/bags.ts';
import { readHousehold } from '$lib/server/store/household.ts';

const missing = (id: string | undefined) =>
  new Problem(404, 'No such bag', [{ where: 'path', what: `no bag “${id}”` }]);

/** Field by field: what two tablets say of one bag is put together, and what cannot be is told to whoever came second. */
export const PATCH = route(async ({ params, request, url }) => {
  const db = await kitchen();
  const id = check(plainId.required(), params['id'], 'path') as string;
  const change = check(changeBody, await readJson(request), 'body');
  const { since } = check(bagQuery, Object.fromEntries(url.searchParams), 'query');
  const household = await readHousehold(db);
  const changed = await changeBag(db, id, change, since, (bag) =>
    sensibleBag(check(bagBody, bag, 'body'), household),
  );
  if (!changed) throw missing(id);
  await learnSoon(db, databaseFile());
  return json({ ...changed.bag, clashes: changed.clashes });
});

export const PUT = route(async ({ params, request, url }) => {
  const db = await kitchen();
  const given = check(bagBody, await readJson(request), 'body');
  const bag = { ...sensibleBag(given, await readHousehold(db)), id: params['id']! };
  const { since } = check(bagQuery, Object.fromEntries(url.searchParams), 'query');
  if (!(await saveBag(db, bag, since))) {
    throw missing(bag.id);
  }
  await learnSoon(db, databaseFile());
  return json(bag);
});
