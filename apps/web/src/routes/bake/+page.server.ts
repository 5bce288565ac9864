import { kitchen } from '$lib/server/kitchen.ts';
import { readPlanData } from '$lib/server/plan-data.ts';
import { listBakes } from '$lib/server/store/bakes.ts';
import { listFormulas } from '$lib/server/store/formulas.ts';
import type { PageServerLoad } from './$types';

/** So many breads are offered for a plan; of so many it is said at once when they could be ready. */
const mostOffered = 200;
const mostTold = 30;

export const load: PageServerLoad = async ({ url }) => {
  const db = await kitchen();
  const [{ rows }, plan, formulas] = await Promise.all([
    listBakes(db, { open: true, limit: 30 }),
    readPlanData(db),
    listFormulas(db, { limit: mostOffered }),
  ]);
  return {
    bakes: rows,
    plan,
    breads: formulas.rows.map(({ id, formula }, i) => ({
      id,
      name: formula.name,
      ...(plan.plans.length === 0 && i < mostTold ? { formula } : {}),
    })),
    /** The bread that somebody came to plan. */
    first: url.searchParams.get('plan') ?? undefined,
  };
};
