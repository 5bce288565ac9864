import { withoutStrangeBags } from '@tender-crumb/core/formula';
import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { boundHere, knownHere } from '$lib/server/boundary/known.ts';
import { formulaId, formulaSave } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { readHousehold } from '$lib/server/store/household.ts';
import { readFormula, saveFormula, standOnShelf } from '$lib/server/store/formulas.ts';
import { takeFormula } from '$lib/server/store/take-parcel.ts';
import { listAside } from '$lib/server/store/formula-asides.ts';

const missing = (id: string) =>
  new Problem(404, 'No such formula', [{ where: 'path', what: `no formula “${id}”` }]);

export const GET = route(async ({ params, url }) => {
  const id = params['id']!;
  const asked = url.searchParams.get('version');
  const version = asked === null ? undefined : Number(asked);
  if (version !== undefined && !(Number.isInteger(version) && version > 0)) {
    throw new Problem(400, 'No such version', [{ where: 'query.version', what: 'a whole number' }]);
  }
  const db = await kitchen();
  const found = await readFormula(db, id, version);
  if (!found) throw missing(id);
  return json({ ...found, aside: await listAside(db, id) });
});

export const PUT = route(async ({ params, request, locals }) => {
  const id = check(formulaId, params['id'], 'path');
  const { version, formula, draft } = check(formulaSave, await readJson(request), 'body');
  const db = await kitchen();
  const given = await takeFormula(db, formula, 'body.formula');
  const household = await readHousehold(db);
  const known = knownHere(given, household, 'body.formula');
  // What comes to this shelf for the first time may be bound to bags of another house: those become their flour.
  const complete =
    version === 0
      ? withoutStrangeBags(known, household.bags)
      : boundHere(known, household, 'body.formula');
  const device = locals.device?.name;
  const saved = await saveFormula(db, id, version, complete, { device, draft });
  if (saved.outcome === 'missing') throw missing(id);
  if (saved.outcome === 'stale') {
    throw new Problem(
      409,
      'It was changed elsewhere in the meantime; both versions are kept',
      [
        {
          where: 'body.version',
          what: `is ${version}, and ${saved.current.version} is the newest`,
        },
      ],
      { current: saved.current, aside: saved.aside },
    );
  }
  return json({ id, version: saved.version });
});

/** Off the shelf: it stays, and can be put back. */
export const DELETE = route(async ({ params }) => {
  const id = check(formulaId, params['id'], 'path');
  if (!(await standOnShelf(await kitchen(), id, false))) throw missing(id);
  return json({ id });
});
