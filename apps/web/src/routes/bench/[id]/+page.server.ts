import { error } from '@sveltejs/kit';
import { forBread } from '@tender-crumb/core';
import { bakerCookie } from '$lib/bake/baker-here.ts';
import { openedIn } from '$lib/bench/open.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { lastFelt } from '$lib/server/store/bakes.ts';
import { madeBefore } from '$lib/server/store/made-before.ts';
import { readFormula } from '$lib/server/store/formulas.ts';
import { listLabels } from '$lib/server/store/own.ts';
import { listAside } from '$lib/server/store/formula-asides.ts';
import { readBelief, readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, cookies }) => {
  const db = await kitchen();
  const found = await readFormula(db, params.id);
  if (!found) error(404, 'There is no such formula on the shelf.');
  const [household, { belief }, felt, aside, made, labels] = await Promise.all([
    readHousehold(db),
    readBelief(db),
    lastFelt(db, [params.id]),
    listAside(db, params.id),
    madeBefore(db, params.id),
    listLabels(db),
  ]);
  const opened = openedIn(cookies.get('bench'));
  return {
    ...found,
    household,
    belief: forBread(belief, params.id),
    opened,
    baker: cookies.get(bakerCookie),
    older: felt.get(params.id) ?? [],
    aside,
    made,
    labels,
  };
};
