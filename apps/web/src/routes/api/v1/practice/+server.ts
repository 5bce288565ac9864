import { json } from '@sveltejs/kit';
import { readJson } from '$lib/server/boundary/body.ts';
import { check } from '$lib/server/boundary/check.ts';
import { practiceBody } from '$lib/server/boundary/practice-schema.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { forgetPractised, keepPractised, practised } from '$lib/server/store/practice.ts';
import { currentIso } from '$lib/clock.ts';

export const GET = route(async () => json({ called: await practised(await kitchen()) }));

export const POST = route(async ({ request }) => {
  const round = check(practiceBody, await readJson(request), 'body');
  await keepPractised(await kitchen(), { ...round, at: currentIso() });
  return json({ id: round.id }, { status: 201 });
});

export const DELETE = route(async () => {
  await forgetPractised(await kitchen());
  return new Response(null, { status: 204 });
});
