import { json } from '@sveltejs/kit';
import { kitchen } from '$lib/server/kitchen.ts';
import { route } from '$lib/server/route.ts';
import { listDevices } from '$lib/server/store/devices.ts';

export const GET = route(async () => json({ devices: await listDevices(await kitchen()) }));
