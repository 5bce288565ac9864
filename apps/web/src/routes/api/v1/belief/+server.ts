import { json } from '@sveltejs/kit';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { readBelief } from '$lib/server/store/household.ts';

/** What the book has taught: the joint Gaussian that levels are worked out with. */
export const GET = route(async () => json(await readBelief(await kitchen())));
