import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { plannedBody } from '$lib/server/boundary/plan-schema.ts';
import { changeBody } from '$lib/server/boundary/schemas.ts';
import { plainId } from '$lib/server/boundary/fields.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { changePlan, dropPlan, savePlan } from '$lib/server/store/plans.ts';

const ofNothing = (outcome: 'no-formula' | 'no-bake') =>
  new Problem(422, 'A plan of what is not there', [
    { where: `body.${outcome === 'no-formula' ? 'formulaId' : 'bakeId'}`, what: 'is not there' },
  ]);

export const PUT = route(async ({ params, request }) => {
  const id = check(plainId.required(), params['id'], 'path') as string;
  const given = check(plannedBody, await readJson(request), 'body');
  const saved = await savePlan(await kitchen(), { ...given, id });
  if (saved.outcome === 'saved') return json(saved.plan);
  if (saved.outcome === 'stale') {
    throw new Problem(
      409,
      'It was changed meanwhile',
      [{ where: 'body.version', what: `it is ${saved.current.version} by now` }],
      { current: saved.current },
    );
  }
  throw ofNothing(saved.outcome);
});

/** Field by field, on what stands there by now; one that is not there is made. */
export const PATCH = route(async ({ params, request }) => {
  const id = check(plainId.required(), params['id'], 'path') as string;
  const change = check(changeBody, await readJson(request), 'body');
  const changed = await changePlan(await kitchen(), id, change, (plan) =>
    check(plannedBody, plan, 'body'),
  );
  if (!changed) {
    throw new Problem(404, 'It is planned no more', [{ where: 'path', what: `no plan “${id}”` }]);
  }
  if (changed.outcome !== 'saved') throw ofNothing(changed.outcome);
  return json({ ...changed.plan, clashes: changed.clashes });
});

export const DELETE = route(async ({ params }) => {
  await dropPlan(await kitchen(), params['id']!);
  return json({});
});
