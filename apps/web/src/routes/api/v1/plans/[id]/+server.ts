import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { plannedBody } from '$lib/server/boundary/plan-schema.ts';
import { plainId } from '$lib/server/boundary/fields.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';
import { dropPlan, savePlan } from '$lib/server/store/plans.ts';

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
  const field = saved.outcome === 'no-formula' ? 'formulaId' : 'bakeId';
  throw new Problem(422, 'A plan of what is not there', [
    { where: `body.${field}`, what: 'is not there' },
  ]);
});

export const DELETE = route(async ({ params }) => {
  await dropPlan(await kitchen(), params['id']!);
  return json({});
});
