import { json } from '@sveltejs/kit';
import { kitchen } from '$lib/server/kitchen.ts';
import { readPlanData } from '$lib/server/plan-data.ts';
import { route } from '$lib/server/route.ts';

/** What is planned, with all that its times are worked out of. */
export const GET = route(async () => json(await readPlanData(await kitchen())));
