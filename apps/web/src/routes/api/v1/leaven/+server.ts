import { answerLeaven } from '@tender-crumb/core/ferment';
import { isRefused } from '@tender-crumb/core/quantity';
import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { leavenBody } from '$lib/server/boundary/rise-schema.ts';
import { Problem } from '$lib/server/problem.ts';
import { route } from '$lib/server/route.ts';

export const POST = route(async ({ request }) => {
  const { hours, ...asked } = check(leavenBody, await readJson(request), 'body');
  const answer = answerLeaven(asked, hours);
  if (isRefused(answer)) {
    throw new Problem(422, answer.refused.says, [
      { where: 'body.leavens', what: answer.refused.says },
    ]);
  }
  return json(answer);
});
