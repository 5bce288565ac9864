import { error } from '@sveltejs/kit';
import { forBread } from '@tender-crumb/core';
import { kitchen } from '$lib/server/kitchen.ts';
import { readPlanData } from '$lib/server/plan-data.ts';
import { notesBefore, readBake } from '$lib/server/store/bakes.ts';
import { readFormula } from '$lib/server/store/formulas.ts';
import { readBelief, readHousehold } from '$lib/server/store/household.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
  const db = await kitchen();
  const bake = await readBake(db, params.id);
  if (!bake) error(404, 'There is no such bake.');
  const version =
    bake.formulaId === undefined
      ? undefined
      : await readFormula(db, bake.formulaId, bake.formulaVersion);
  const [household, { belief }, plan, lastNotes] = await Promise.all([
    readHousehold(db),
    readBelief(db),
    readPlanData(db),
    notesBefore(db, bake),
  ]);
  return {
    bake,
    formula: version?.formula,
    household,
    belief: forBread(belief, bake.formulaId),
    plan,
    lastNotes,
  };
};
