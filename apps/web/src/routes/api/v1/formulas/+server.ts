import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { boundHere, knownHere } from '$lib/server/boundary/known.ts';
import { formulasQuery } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { addFormula, listFormulas } from '$lib/server/store/formulas.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import { takeFormula } from '$lib/server/store/take-parcel.ts';

export const GET = route(async ({ url }) => {
  const { limit, offset, search } = check(
    formulasQuery,
    Object.fromEntries(url.searchParams),
    'query',
  );
  const { rows, total } = await listFormulas(await kitchen(), { limit, offset, search });
  return json({ formulas: rows, total });
});

export const POST = route(async ({ request, locals }) => {
  const db = await kitchen();
  const given = await takeFormula(db, await readJson(request), 'body');
  const household = await readHousehold(db);
  const formula = boundHere(knownHere(given, household), household);
  const { id, version } = await addFormula(db, formula, { device: locals.device?.name });
  return json(
    { id, version, formula },
    { status: 201, headers: { location: `/api/v1/formulas/${id}` } },
  );
});
