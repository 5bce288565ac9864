import { json } from '@sveltejs/kit';
import { check } from '$lib/server/boundary/check.ts';
import { formulaId } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { standOnShelf } from '$lib/server/store/formulas.ts';

/** Back on the shelf. */
export const POST = route(async ({ params }) => {
  const id = check(formulaId, params['id'], 'path');
  if (!(await standOnShelf(await kitchen(), id, true))) {
    throw new Problem(404, 'No such formula', [{ where: 'path', what: `no formula “${id}”` }]);
  }
  return json({ id });
});
