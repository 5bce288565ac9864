import { amongBreads } from '@tender-crumb/core/learn';
import { json } from '@sveltejs/kit';
import { check } from '$lib/server/boundary/check.ts';
import { beliefQuery } from '$lib/server/boundary/schemas.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { readBelief } from '$lib/server/store/belief.ts';

/**
 * What the book has taught: the joint Gaussian that levels are worked out with, and of breads what is known of those
 * that are asked for.
 */
export const GET = route(async ({ url }) => {
  const { breads } = check(
    beliefQuery,
    { breads: url.searchParams.get('breads')?.split(',') ?? [] },
    'query',
  );
  const { belief, revision } = await readBelief(await kitchen());
  return json({ belief: amongBreads(belief, breads), revision });
});
