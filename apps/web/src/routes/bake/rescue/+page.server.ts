import { forBread } from '@tender-crumb/core/learn';
import { kitchen } from '$lib/server/kitchen.ts';
import { readBake } from '$lib/server/store/bakes.ts';
import { readFormula } from '$lib/server/store/formulas.ts';
import { knownBelief } from '$lib/server/store/known-belief.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const id = url.searchParams.get('bake');
  const bake = id === null ? undefined : await readBake(db, id);
  const version =
    bake?.formulaId === undefined
      ? undefined
      : await readFormula(db, bake.formulaId, bake.formulaVersion);
  const [household, { belief }] = await Promise.all([readHousehold(db), knownBelief(db)]);
  return {
    household,
    belief: forBread(belief, bake?.formulaId),
    /** The dough that is in trouble, where it is one of ours: what went in is known then. */
    ...(bake && version
      ? {
          bakeId: bake.id,
          startedAt: bake.startedAt,
          bake: {
            formula: version.formula,
            method: bake.method,
            events: bake.events,
            circumstances: bake.circumstances,
          },
        }
      : {}),
  };
};
