import { json } from '@sveltejs/kit';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { listTimers } from '$lib/server/store/timers.ts';

export const GET = route(async () => json({ timers: await listTimers(await kitchen()) }));
