import { answerRise } from '@tender-crumb/core/ferment';
import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { riseBody } from '$lib/server/boundary/rise-schema.ts';
import { route } from '$lib/server/route.ts';

export const POST = route(async ({ request }) =>
  json(answerRise(check(riseBody, await readJson(request), 'body'))),
);
