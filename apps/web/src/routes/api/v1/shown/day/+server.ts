import { json } from '@sveltejs/kit';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { dayShown } from '$lib/server/shown/day.ts';

/** What Bake day shows. */
export const GET = route(async () => json(await dayShown(await kitchen())));
