import type { Bag } from '@tender-crumb/core';
import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { sensibleBag } from '$lib/server/boundary/known.ts';
import { bagBody } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { listBags, saveBag } from '$lib/server/store/bags.ts';
import { learnAgain } from '$lib/server/store/bakes.ts';
import { inTransaction } from '$lib/server/database/open.ts';
import { readHousehold } from '$lib/server/store/household.ts';

/** What of a bag bears on how much it drinks. */
const drinksAs = ({ ingredient, grind, extraction, moisture, openedOn }: Omit<Bag, 'id'>): string =>
  JSON.stringify([ingredient, grind, extraction, moisture, openedOn]);

export const PUT = route(async ({ params, request }) => {
  const db = await kitchen();
  const given = check(bagBody, await readJson(request), 'body');
  const bag = { ...sensibleBag(given, await readHousehold(db)), id: params['id']! };
  await inTransaction(db, async (tx) => {
    const before = (await listBags(tx)).find((b) => b.id === bag.id);
    if (!before || !(await saveBag(tx, bag))) {
      throw new Problem(404, 'No such bag', [{ where: 'path', what: `no bag “${bag.id}”` }]);
    }
    // What its bakes taught was relative to what was said of its flour before.
    if (drinksAs(before) !== drinksAs(bag)) await learnAgain(tx);
  });
  return json(bag);
});
