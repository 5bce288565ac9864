import { json } from '@sveltejs/kit';
import { learningState } from '$lib/server/jobs/learning.ts';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';

/** Whether the belief is what the whole book teaches; while it is learned again, how far that is. */
export const GET = route(async () => json(await learningState(await kitchen())));
