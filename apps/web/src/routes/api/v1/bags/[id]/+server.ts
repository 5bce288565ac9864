import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { sensibleBag } from '$lib/server/boundary/known.ts';
import { bagBody } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { saveBag } from '$lib/server/store/bags.ts';
import { learnAgain } from '$lib/server/store/bakes.ts';
import { inTransaction } from '$lib/server/database/open.ts';
import { readHousehold } from '$lib/server/store/household.ts';

export const PUT = route(async ({ params, request }) => {
  const db = await kitchen();
  const given = check(bagBody, await readJson(request), 'body');
  const bag = { ...sensibleBag(given, await readHousehold(db)), id: params['id']! };
  await inTransaction(db, async (tx) => {
    if (!(await saveBag(tx, bag))) {
      throw new Problem(404, 'No such bag', [{ where: 'path', what: `no bag “${bag.id}”` }]);
    }
    // What its bakes taught was relative to what was said of it before.
    await learnAgain(tx);
  });
  return json(bag);
});
