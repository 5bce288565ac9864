import { error, redirect } from '@sveltejs/kit';
import { forBread } from '@tender-crumb/core/learn';
import { kitchen } from '$lib/server/kitchen.ts';
import { bookEntries } from '$lib/server/store/book-entries.ts';
import { readBake } from '$lib/server/store/bakes.ts';
import { bakesBefore } from '$lib/server/store/book-list.ts';
import { readBelief } from '$lib/server/store/belief.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import { readFormula } from '$lib/server/store/formulas.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
  const db = await kitchen();
  const bake = await readBake(db, params.id);
  if (!bake) error(404, 'There is no such bake.');
  if (bake.formulaId === undefined || !bake.finishedAt) redirect(303, `/bake/${params.id}`);
  const before = (await bakesBefore(db, [params.id])).get(params.id);
  const [entries, household, { belief }, head] = await Promise.all([
    bookEntries(db, { ids: [params.id, ...(before === undefined ? [] : [before])] }),
    readHousehold(db),
    readBelief(db),
    readFormula(db, bake.formulaId),
  ]);
  return {
    bake,
    entry: entries.find((e) => e.id === params.id)!,
    before: entries.find((e) => e.id === before),
    /** The formula as it stands now: a fix is taken there. */
    head: head && { version: head.version, formula: head.formula },
    household,
    belief: forBread(belief, bake.formulaId),
  };
};
